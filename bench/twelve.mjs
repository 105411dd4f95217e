// A scene of twelve layers with text, panels and rules that differ, put into the demo for as long as it is measured.

const lu = (value) => ({ value, unit: 'lu' });
const side = { region: 'parent', offset: lu(0) };

const words = (id, top, text, size) => ({
  kind: 'text',
  id,
  name: id,
  role: 'text',
  visible: true,
  parent: 'form',
  text,
  placing: {
    x: { kind: 'edges', start: side, end: side },
    y: { kind: 'start', edge: top, extent: { kind: 'natural' } },
  },
  style: {
    font: 'sans',
    weight: 400,
    size,
    lineHeight: 1.35,
    colour: { light: '#12303b', dark: '#ece6da' },
    align: { x: 'start', y: 'start' },
  },
});
const below = (id) => ({ region: `layer:${id}`, side: 'end', offset: lu(6) });

const STOPS = [
  { colour: { light: '#12303b' }, at: 0 },
  { colour: { light: '#e6b98a' }, at: 100 },
];

/** @param scenes those of the demo */
function twelve(scenes) {
  const [, harbour, emblem, wordmark] = scenes['winter-splash'].layers;
  const form = scenes['sign-in'].layers.find((l) => l.id === 'form');
  const ground = {
    ...scenes['winter-splash'].layers[0],
    colour: { gradient: 'linear', angle: 180, stops: STOPS },
  };
  const small = { ...emblem.placing, x: { ...emblem.placing.x, extent: { kind: 'length', length: lu(96) } } };
  const strip = {
    ...harbour,
    id: 'rope',
    name: 'Rope',
    role: 'other',
    picture: 'rope',
    placing: {
      x: harbour.placing.x,
      y: {
        kind: 'end',
        edge: { region: 'safe', offset: lu(0) },
        extent: { kind: 'length', length: lu(24) },
      },
    },
    fit: { ...harbour.fit, size: 'natural', repeat: { x: 'repeat', y: 'repeat' } },
  };
  const badge = {
    ...form,
    id: 'badge',
    name: 'Badge',
    placing: { x: small.x, y: { ...small.y, extent: { kind: 'length', length: lu(40) } } },
  };
  return {
    ...scenes['winter-splash'],
    id: 'twelve',
    name: 'Twelve layers',
    layers: [
      ground,
      harbour,
      strip,
      { ...emblem, when: [{ orientation: 'landscape', placing: small }] },
      { ...wordmark, when: [{ maxWidth: 340, visible: false }] },
      badge,
      form,
      words('one', side, 'Good to have you aboard', 22),
      words('two', below('one'), 'Sign in to see your tickets and the winter timetable.', 15),
      words('three', below('two'), 'Crossings may be cancelled in strong wind.', 15),
      words('four', below('three'), 'Ask on the quay', 13),
      words('five', below('four'), 'or call the harbour office.', 13),
    ],
  };
}

async function change(address, patch, inverse) {
  const url = `${address}/api/v1/projects/larkmoor-ferries`;
  const { revision } = await (await fetch(url)).json();
  const response = await fetch(url, {
    method: 'PATCH',
    headers: { 'content-type': 'application/json', 'if-match': `"${revision}"`, origin: address },
    body: JSON.stringify({ id: crypto.randomUUID(), patch, inverse }),
  });
  if (!response.ok) throw new Error(`The scene of twelve layers: ${await response.text()}`);
}

/** @returns a function that takes the scene out again */
export async function addTwelve(address) {
  const { documents } = await (await fetch(`${address}/api/v1/projects/larkmoor-ferries`)).json();
  const scene = twelve(documents.scenes);
  const at = `/project/scenes/${documents.project.scenes.length}`;
  const added = [
    { op: 'add', path: '/scenes/twelve', value: scene },
    { op: 'add', path: at, value: 'twelve' },
  ];
  const removed = [
    { op: 'remove', path: at },
    { op: 'remove', path: '/scenes/twelve' },
  ];
  await change(address, added, removed);
  return () => change(address, removed, added);
}
