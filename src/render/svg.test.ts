import sharp from 'sharp';
import type { Drawing } from './drawing';
import { hashesIn } from './drawing';
import { paintPng } from './sharp';
import { svgOf } from './svg';

/** Two files: soft colours, and a disc on nothing. */
async function files(): Promise<Map<string, Buffer>> {
  const made = async (pixel: (x: number, y: number) => number[]) => {
    const data = Buffer.from(
      Array.from({ length: 60 * 40 }, (_, i) => pixel((i % 60) / 60, Math.floor(i / 60) / 40)).flat(),
    );
    return sharp(data, { raw: { width: 60, height: 40, channels: 4 } })
      .png()
      .toBuffer();
  };
  return new Map([
    ['soft', await made((x, y) => [x * 255, y * 255, 120, 255])],
    ['disc', await made((x, y) => [200, 40, 40, Math.hypot(x - 0.5, y - 0.5) < 0.4 ? 255 : 0])],
  ]);
}

const whole = { x: 0, y: 0, width: 200, height: 160 };
const image = { kind: 'image', hash: 'soft', tint: null, opacity: 1, rounding: null } as const;

const DRAWINGS: Record<string, Drawing['commands']> = {
  'a gradient, and one that fades': [
    {
      kind: 'fill',
      rect: whole,
      radius: 0,
      opacity: 1,
      ink: {
        kind: 'linear',
        from: { x: 0, y: 0 },
        to: { x: 200, y: 160 },
        stops: [
          { at: 0, colour: '#12303b' },
          { at: 1, colour: '#e6b98a' },
        ],
      },
    },
    {
      kind: 'fill',
      rect: { x: 20, y: 20, width: 120, height: 100 },
      radius: 30,
      opacity: 0.7,
      ink: {
        kind: 'radial',
        centre: { x: 80, y: 70 },
        radius: 90,
        stops: [
          { at: 0, colour: '#ffffff80' },
          { at: 1, colour: '#ffffff00' },
        ],
      },
    },
  ],
  'a picture that is cut off and rounded': [
    {
      ...image,
      dest: { x: -20, y: -10, width: 260, height: 170 },
      clip: { x: 10, y: 10, width: 150, height: 120 },
      rounding: { rect: { x: 10, y: 10, width: 150, height: 120 }, radius: 24 },
      opacity: 0.8,
    },
  ],
  'one that is tinted, in a group that is cut off and thin': [
    { kind: 'fill', rect: whole, radius: 0, opacity: 1, ink: { kind: 'colour', colour: '#ffffff' } },
    {
      kind: 'group',
      clip: { rect: { x: 30, y: 20, width: 120, height: 120 }, radius: 40 },
      opacity: 0.5,
      commands: [
        { kind: 'fill', rect: whole, radius: 0, opacity: 1, ink: { kind: 'colour', colour: '#0e6a7880' } },
        {
          ...image,
          hash: 'disc',
          tint: '#12303bcc',
          dest: { x: 20, y: 10, width: 160, height: 130 },
          clip: { x: 20, y: 10, width: 160, height: 130 },
        },
      ],
    },
  ],
  'a pattern with gaps': [
    {
      kind: 'pattern',
      hash: 'soft',
      tint: null,
      opacity: 1,
      rounding: null,
      tile: { width: 40, height: 30 },
      cell: { width: 46, height: 34 },
      pitch: { x: 46, y: 34 },
      origin: { x: 7, y: 5 },
      clip: { x: 0, y: 0, width: 190, height: 150 },
    },
  ],
  'letters under glass': [
    { kind: 'fill', rect: whole, radius: 0, opacity: 1, ink: { kind: 'colour', colour: '#faf7f0' } },
    {
      kind: 'letters',
      lines: [{ outline: 'M0 0L400 0L400 -700L0 -700Z', at: { x: 40, y: 90 } }],
      bounds: whole,
      scale: 0.1,
      colour: '#1d2a2f',
      opacity: 0.9,
    },
    {
      kind: 'glass',
      glass: { rect: whole, radius: 30 },
      holes: [{ rect: { x: 80, y: 8, width: 40, height: 16 }, radius: 8 }],
      colour: '#000000',
    },
  ],
};

async function difference(a: Buffer, b: Buffer): Promise<number> {
  const raw = (png: Buffer) => sharp(png).flatten({ background: '#ffffff' }).removeAlpha().raw().toBuffer();
  const [one, two] = [await raw(a), await raw(b)];
  expect(one).toHaveLength(two.length);
  return one.reduce((sum, v, i) => sum + Math.abs(v - two[i]!), 0) / one.length / 255;
}

describe('a drawing as SVG', () => {
  it.each(Object.entries(DRAWINGS))('looks as it does as PNG: %s', async (_, commands) => {
    const drawing: Drawing = { size: { width: 200, height: 160 }, commands };
    const bytes = await files();
    const png = await paintPng(drawing, (hash) => Promise.resolve(bytes.get(hash)!));
    const address = (hash: string) => `data:image/png;base64,${bytes.get(hash)!.toString('base64')}`;
    const svg = svgOf(drawing, drawing.size, address);
    expect(await difference(await sharp(Buffer.from(svg)).png().toBuffer(), png)).toBeLessThan(0.01);
  });

  it('has no clip where nothing is cut off', () => {
    const box = { x: 10, y: 10, width: 100, height: 80 };
    const inside = { ...image, dest: { x: 30, y: 30, width: 40, height: 40 }, clip: whole };
    const group = (radius: number, dest = inside.dest): Drawing['commands'] => [
      { kind: 'group', clip: { rect: box, radius }, opacity: 1, commands: [{ ...inside, dest }] },
      { kind: 'glass', glass: { rect: whole, radius: 0 }, holes: [], colour: '#000000' },
    ];
    const clips = (commands: Drawing['commands']) =>
      svgOf({ size: { width: 200, height: 160 }, commands }, { width: 200, height: 160 }, String).match(
        /<clipPath/g,
      )?.length ?? 0;
    expect(clips(group(0))).toBe(0);
    expect(clips(group(20))).toBe(0);
    // Reaching over a side, or into a rounded corner.
    expect(clips(group(0, { x: 5, y: 30, width: 40, height: 40 }))).toBe(1);
    expect(clips(group(20, { x: 11, y: 11, width: 40, height: 40 }))).toBe(1);
    expect(clips(group(0, { x: 10, y: 10, width: 100, height: 80 }))).toBe(0);
    // What hangs out of the canvas is not seen, whoever cuts it.
    expect(
      clips([
        {
          ...inside,
          dest: { x: -50, y: -50, width: 400, height: 400 },
          clip: { x: -50, y: -50, width: 400, height: 400 },
        },
        { kind: 'glass', glass: { rect: whole, radius: 0 }, holes: [], colour: '#000000' },
      ]),
    ).toBe(0);
  });

  it('is shown at the size of its screen, whatever its px are', () => {
    const svg = svgOf(
      { size: { width: 1179, height: 2556 }, commands: [] },
      { width: 393, height: 852 },
      String,
    );
    expect(svg).toContain('width="393" height="852" viewBox="0 0 1179 2556"');
  });

  it('knows its files, also those in groups, each once', () => {
    const all = Object.values(DRAWINGS).flat();
    expect(hashesIn(all)).toEqual(['soft', 'disc']);
  });
});
