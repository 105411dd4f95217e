import sharp from 'sharp';
import { iconFiles } from '@/core/icons/files';
import { newIcon } from '@/core/icons/new';
import { SLOT_SETS } from '@/core/icons/sets';
import type { Documents } from '@/core/project/documents';
import { readDocuments } from '@/core/project/migrate';
import { SCHEMA_VERSION } from '@/core/project/project';
import { pictureOf } from '@/core/testing/scenes';
import { drawIcons, type DrawnIcon } from './icons';

const HASH = 'a'.repeat(64);
const SIDE = 256;
/** a disc that fills the picture */
const glyph = Buffer.from(
  `<svg xmlns="http://www.w3.org/2000/svg" width="${SIDE}" height="${SIDE}"><circle cx="128" cy="128" r="128" fill="#c03020"/></svg>`,
);

let next = 0;
const newId = () => `id-${++next}`;

function documentsWith(change: (icon: ReturnType<typeof newIcon>) => void, iconSets?: string[]): Documents {
  const icon = newIcon('Icon', { id: 'logo', name: 'Logo' }, newId);
  change(icon);
  return readDocuments({
    project: {
      id: 'p',
      schema: SCHEMA_VERSION,
      name: 'Project',
      pictures: [pictureOf('logo', { hash: HASH, widthPx: SIDE, heightPx: SIDE, density: 1, vector: true })],
      named: [],
      screens: [],
      limits: [],
      scenes: [icon.id],
      iconSets: iconSets ?? SLOT_SETS.map((s) => s.id),
    },
    scenes: { [icon.id]: icon },
  });
}

const drawAll = (documents: Documents) =>
  drawIcons(
    { documents, sceneId: documents.project.scenes[0]! },
    null,
    () => Promise.resolve(glyph),
    () => Promise.resolve(),
  );

const pixelsOf = async ({ bytes }: DrawnIcon) => {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const at = (x: number, y: number) => [...data.subarray((y * info.width + x) * 4).subarray(0, 4)];
  return { ...info, at };
};

describe('the files of an icon', () => {
  const documents = documentsWith(() => {});
  let drawn: DrawnIcon[] = [];
  beforeAll(async () => {
    drawn = await drawAll(documents);
  });

  it('are all that its slots ask for, with exactly their px, in sRGB, with alpha only where it may be', async () => {
    const wanted = iconFiles(documents.project);
    expect(drawn.map((d) => d.path)).toEqual(wanted.map((f) => f.path).filter((p) => !isSame(p)));
    for (const { path, bytes } of drawn) {
      const { px, opaque } = wanted.find((f) => f.path === path)!;
      const meta = await sharp(bytes).metadata();
      expect([path, meta.format, meta.width, meta.height, meta.hasAlpha, meta.space]).toEqual([
        path,
        'png',
        px.width,
        px.height,
        !opaque,
        'srgb',
      ]);
      expect(meta.icc).toBeUndefined();
    }
    expect(drawn.filter((d) => d.onWhite)).toEqual([]);
  });
  // A glyph stands on nothing, whatever the appearance.
  const isSame = (path: string) => path.endsWith('-glyph-dark.png');

  it('show the plate in its colour up to the corners, and the glyph in the middle', async () => {
    const of = async (path: string) => pixelsOf(drawn.find((d) => d.path === path)!);
    const light = await of('phones/home-screen-60@3x.png');
    expect(light.at(0, 0)).toEqual([255, 255, 255, 255]);
    expect(light.at(90, 90)).toEqual([0xc0, 0x30, 0x20, 255]);
    expect((await of('phones/home-screen-60@3x-dark.png')).at(179, 179)).toEqual([0x10, 0x14, 0x18, 255]);
    // The room of 18 % is left on each side: 180 · 0.18 = 32.4 px.
    expect(light.at(31, 90)).toEqual([255, 255, 255, 255]);
    expect(light.at(34, 90)).toEqual([0xc0, 0x30, 0x20, 255]);
  });

  it('come apart into layers: the plate without the glyph, the glyph on nothing, its shape in white', async () => {
    const of = async (path: string) => pixelsOf(drawn.find((d) => d.path === path)!);
    expect((await of('layered/layer-108@2x-plate.png')).at(108, 108)).toEqual([255, 255, 255, 255]);
    const alone = await of('layered/layer-108@2x-glyph.png');
    expect(alone.at(0, 0)[3]).toBe(0);
    expect(alone.at(108, 108)).toEqual([0xc0, 0x30, 0x20, 255]);
    const shape = await of('status-bar/notification-24@2x-one-colour.png');
    expect(shape.at(0, 0)[3]).toBe(0);
    expect(shape.at(24, 24)).toEqual([255, 255, 255, 255]);
  });
});

it('a plate with round corners stands on white where no file may be see-through, and that is said', async () => {
  const round = documentsWith(
    (icon) => {
      const [plate] = icon.layers;
      if (plate?.kind === 'panel') Object.assign(plate, { cornerRadius: { value: 50, unit: '%' } });
    },
    ['phones', 'web'],
  );
  const drawn = await drawAll(round);
  const dark = await pixelsOf(drawn.find((d) => d.path === 'phones/home-screen-60@3x-dark.png')!);
  expect(dark.at(0, 0)).toEqual([255, 255, 255, 255]);
  const web = await pixelsOf(drawn.find((d) => d.path === 'web/manifest-192-dark.png')!);
  expect(web.at(0, 0)[3]).toBe(0);
  expect(new Set(drawn.filter((d) => d.onWhite).map((d) => d.path.split('/')[0]))).toEqual(
    new Set(['phones']),
  );
});
