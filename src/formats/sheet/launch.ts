import { fadeOf, STARTS, timelineOf } from '@/core/launch/timeline';
import { lightOnly } from '@/core/launch/dark';
import { stageSentence, stageText } from '@/core/launch/stage-sentence';
import { stayOf } from '@/core/launch/stay';
import { SYSTEM_WORDS } from '@/core/launch/system';
import { targetsOf, type Launch, type ScreenStage, type Stage, type Target } from '@/core/project/launch';
import type { Documents } from '@/core/project/documents';
import type { Screen } from '@/core/screens/screen';
import { sayMs } from '@/core/words/numbers';
import type { Fact, Section } from './schema';

const sceneName = ({ scenes }: Documents, id: string) => scenes[id]?.name ?? id;

/** How a stage comes, how long it stays, and when it is there after each kind of start: each a figure of its own. */
function timeFacts(stage: Stage, index: number, launch: Launch): Fact[] {
  const stages = launch.stages.map((s): ScreenStage => ({ ...s, padding: s.padding ?? 0, empty: false }));
  const fact = (id: string, what: string, text: string): Fact => ({
    id: `stage-${index + 1}-${id}`,
    what: `stage ${index + 1}, ${what}`,
    text,
  });
  const spans = STARTS.map((start) => {
    const { start: from, end } = timelineOf(launch, stages, start).spans[index]!;
    const until = Number.isFinite(end) ? ` to ${sayMs(end)}` : ' on';
    return fact(start, `after a ${start} start`, `${sayMs(from)}${until}, from the tap`);
  });
  const fadeMs = fadeOf(stage);
  const { holdMs, loadedMs } = stayOf(launch.stages, index, launch);
  return [
    ...(fadeMs > 0
      ? [fact('fade', 'fades in for', sayMs(fadeMs)), fact('easing', 'easing', stage.easing)]
      : [fact('fade', 'comes', 'at once')]),
    ...((holdMs ?? 0) > 0 ? [fact('hold', 'stays at least', sayMs(holdMs!))] : []),
    ...(loadedMs === null
      ? []
      : [fact('until', 'waits', `until all is loaded, ${sayMs(loadedMs)} after the tap`)]),
    ...spans,
  ];
}

const stageFacts = (launch: Launch, documents: Documents): Fact[] =>
  launch.stages.flatMap((stage, i): Fact[] => {
    const words = SYSTEM_WORDS[stage.system];
    return [
      {
        id: `stage-${i + 1}`,
        what: `stage ${i + 1}`,
        text: `“${sceneName(documents, stage.scene)}”. ${stageText(stageSentence(launch, i))} ${words.note}`,
      },
      ...timeFacts(stage, i, launch),
    ];
  });

/** What each kind of first window shows, and on which screens. */
const targetFact = (
  target: Target,
  launch: Launch,
  screens: readonly Screen[],
  documents: Documents,
): Fact => {
  const count = screens.filter((s) => targetsOf(launch, s).includes(target)).length;
  const shows = target.off
    ? 'nothing until the app draws'
    : `“${sceneName(documents, target.scene ?? launch.stages[0]!.scene)}” in ${SYSTEM_WORDS[target.system].label}`;
  const room = target.padding
    ? `, ${Math.round(target.padding * 1000) / 10} % of the icon’s box left free on each side`
    : '';
  const versions = target.versions ? `, ${target.versions}` : '';
  return {
    id: `target-${target.id}`,
    what: `first window, ${target.name}${versions}`,
    text: `${shows}${room}, on ${count} ${count === 1 ? 'screen' : 'screens'}`,
  };
};

/** Layers of the scenes of a launch that look in the dark as they do in light. */
function darkFacts(launch: Launch, { scenes, project }: Documents): Fact[] {
  const shown = [...new Set(launch.stages.map((s) => s.scene))].flatMap((id) => scenes[id] ?? []);
  return shown.flatMap((scene) => {
    const layers = lightOnly(scene, project.pictures, project.named);
    return layers.length === 0
      ? []
      : [
          {
            id: `dark-${scene.id}`,
            what: `in the dark, “${scene.name}”`,
            text: `the light half is taken of ${layers.join(', ')}`,
          },
        ];
  });
}

/** From the tap to the first screen: what is set in the app, and what the system is told. */
export function launchSection(launch: Launch, documents: Documents, screens: readonly Screen[]): Section {
  return {
    id: `launch-${launch.id}`,
    name: launch.name,
    about: `launch · ${launch.stages.length} ${launch.stages.length === 1 ? 'stage' : 'stages'}`,
    rows: [],
    facts: [
      {
        id: 'times',
        what: 'times',
        text: `the app answers ${sayMs(launch.systemMs)} after the tap, and everything is loaded after ${sayMs(launch.loadingMs)}; when it still is in memory ${sayMs(launch.warm.systemMs)} and ${sayMs(launch.warm.loadingMs)}`,
      },
      ...stageFacts(launch, documents),
      ...launch.targets.map((t) => targetFact(t, launch, screens, documents)),
      ...darkFacts(launch, documents),
    ],
  };
}
