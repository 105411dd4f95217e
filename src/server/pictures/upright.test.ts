import sharp from 'sharp';
import { caseSvg } from '../services/cases';
import { keepFile } from '../importing/picture';
import { createProject } from '../services/projects';
import { makePage } from '../exports/page';
import { openOriginal, readOriginal, readOriginalNow } from '../blobs';
import { ownStore } from '../testing/store';
import { upright } from './upright';
import { Documents } from '@/core/project/documents';
import { DEFAULT_LIMITS } from '@/core/measure/defaults';
import { SCHEMA_VERSION } from '@/core/project/project';
import { fitOf, edgesOf, pictureLayer, pictureOf, inputOf } from '@/core/testing/scenes';
import { SCREENS } from '@/core/testing/scenes';

ownStore();

const RED = [200, 30, 40];
const BLUE = [30, 60, 200];

/** A photo whose pixels are red at the left and blue at the right, which its EXIF turns: red is at the top of it then. */
function photo(format: 'jpeg' | 'png' | 'webp', orientation = 6): Promise<Buffer> {
  const data = Buffer.from(Array.from({ length: 60 * 40 }, (_, i) => (i % 60 < 30 ? RED : BLUE)).flat());
  return sharp(data, { raw: { width: 60, height: 40, channels: 3 } })
    .toFormat(format, { quality: 95 })
    .withMetadata({ orientation })
    .toBuffer();
}

const pixelAt = async (bytes: Buffer, x: number, y: number) => {
  // As a program shows it that knows nothing of EXIF.
  const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const at = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * 3;
  return [...data.subarray(at, at + 3)];
};
const isNear = (one: number[], other: number[]) => one.every((v, i) => Math.abs(v - other[i]!) < 24);

describe('a photo that its EXIF turns', () => {
  it.each(['jpeg', 'png', 'webp'] as const)(
    'is set upright for programs that do not read EXIF: %s',
    async (type) => {
      const made = await upright({ bytes: await photo(type), type });
      const { width, height, orientation, format } = await sharp(made).metadata();
      expect([width, height, orientation, format]).toEqual([40, 60, undefined, type]);
      expect(isNear(await pixelAt(made, 0.5, 0.1), RED)).toBe(true);
      expect(isNear(await pixelAt(made, 0.5, 0.9), BLUE)).toBe(true);
    },
  );

  it('is left as it is where nothing turns it', async () => {
    const bytes = await photo('jpeg', 1);
    expect(await upright({ bytes, type: 'jpeg' })).toBe(bytes);
  });

  it('is embedded upright in the SVG of a case and in the page of a scene', async () => {
    const { hash, widthPx, heightPx, turned } = await keepFile(await photo('jpeg'), 'coast.jpg');
    expect([widthPx, heightPx, turned]).toEqual([40, 60, true]);
    const picture = pictureOf('coast', { widthPx, heightPx, density: 1 });
    picture.cuts[0]!.renditions[0]!.hash = hash;
    const layer = pictureLayer(
      { x: edgesOf('screen'), y: edgesOf('screen') },
      { picture: 'coast', fit: fitOf('cover') },
    );
    const { scene } = inputOf([layer], [picture]);
    const documents = {
      project: {
        id: 'coasts',
        schema: SCHEMA_VERSION,
        name: 'Coasts',
        pictures: [picture],
        named: [],
        screens: [],
        limits: [...DEFAULT_LIMITS],
        scenes: [scene.id],
      },
      scenes: { [scene.id]: scene },
    };
    createProject(Documents.parse(documents));
    const svg = await caseSvg({
      projectId: 'coasts',
      sceneId: scene.id,
      caseId: 'phone-393x852-3x-pill.0.light',
      glass: false,
    });
    const from = { original: readOriginal, open: openOriginal, font: readOriginalNow };
    const { content } = await makePage(
      { documents: Documents.parse(documents), sceneId: scene.id, screens: SCREENS.slice(0, 1) },
      from,
      {
        project: 'coasts',
      },
    );
    for (const text of [svg, String(content)]) {
      const embedded = Buffer.from(/data:image\/jpeg;base64,([^"')]+)/.exec(text)![1]!, 'base64');
      expect((await sharp(embedded).metadata()).orientation).toBeUndefined();
      expect(isNear(await pixelAt(embedded, 0.5, 0.1), RED)).toBe(true);
    }
  });
});

test('a CMYK JPEG without a profile is known as a guess', async () => {
  const cmyk = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#2a6' } })
    .toColourspace('cmyk')
    .jpeg()
    .toBuffer();
  expect((await keepFile(cmyk, 'print.jpg')).profile).toBe('CMYK without a profile');
});
