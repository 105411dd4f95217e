import fc from 'fast-check';
import { anyFit, placing } from '../testing/arbitraries';
import { inputOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { casesOf } from '../screens/cases';
import { sayDecimals, sayNumber, sayPixels, sayRatio, sayShare, sayTimes } from '../words/numbers';
import { contrastRatio } from '../pixels/colour';
import { exact } from '../words/worked';
import { rgbaOf } from '../pixels/raster';
import { surveyCase } from '../survey/survey';
import { SIDES } from '../geometry/rect';
import type { FigureName } from '../measure/descriptor';
import { explain, explainScreen } from './figure';
import { steps } from './reason';

const N = String.raw`(−?[\d.]+)`;
const number = (text: string) => Number(text.replace('−', '-'));
const decimalsOf = (text: string) => text.split('.')[1]?.length ?? 0;

/** Each form of a step that comes to something, as it is read, with what its figures come to. */
const FORMS: Record<string, { form: RegExp; comesTo: (...figures: number[]) => string | null; at: number }> =
  {
    // “is 832 in portrait: 2340 px ÷ 2.8125 px per lu”: the result is the figure at place 0
    screen: {
      form: new RegExp(`^The screen’s \\w+ is ${N} in \\w+: ${N} px ÷ ${N} px per lu\\.$`),
      comesTo: (_, px, density) => sayNumber(exact(px! / density!)),
      at: 0,
    },
    natural: {
      form: new RegExp(`^The natural \\w+ of .* is ${N}: ${N} px in its file ÷ ${N} px per lu\\.$`),
      comesTo: (_, px, density) => sayNumber(exact(px! / density!)),
      at: 0,
    },
    drawn: {
      form: new RegExp(`^The drawn \\w+ is ${N}(?:, more than[^:]*)?: ${N} of natural \\w+ × ${N}\\.$`),
      comesTo: (_, natural, scale) => sayNumber(exact(natural! * scale!)),
      at: 0,
    },
    enlarged: {
      form: new RegExp(`^${N} × ${N} px are drawn from ${N} × ${N} px: ${N} for one\\.$`),
      comesTo: (w, h, wide, high) => sayRatio(exact(Math.max(w! / wide!, h! / high!))),
      at: 4,
    },
    excess: {
      form: new RegExp(`^The file has ${N} × ${N} px, and ${N} × ${N} px are drawn: ${N} × as many`),
      comesTo: (w, h, wide, high) => sayTimes(exact(Math.min(w! / wide!, h! / high!))).replace(' ×', ''),
      at: 4,
    },
    cropTotal: {
      form: new RegExp(`^${N} % of the area is hidden: ${N} × ${N} is seen of ${N} × ${N}\\.$`),
      comesTo: (_, w, h, wide, high) => sayShare(exact(1 - (w! * h!) / (wide! * high!))).replace(' %', ''),
      at: 0,
    },
    cropSide: {
      form: new RegExp(`^${N} % of the drawn \\w+ is hidden at the \\w+: ${N} of ${N}\\.$`),
      comesTo: (_, hidden, whole) => sayShare(exact(hidden! / whole!)).replace(' %', ''),
      at: 0,
    },
    share: {
      form: new RegExp(`^What is seen takes ${N} % of the screen’s \\w+: ${N} of ${N}\\.$`),
      comesTo: (_, seen, whole) => sayShare(exact(seen! / whole!)).replace(' %', ''),
      at: 0,
    },
    percent: {
      form: new RegExp(`^The \\w+ of .*: ${N} % of .*, which is ${N} here, gives ${N}[.]`),
      comesTo: (percent, basis) => sayNumber(exact((percent! / 100) * basis!)),
      at: 2,
    },
    offset: {
      form: new RegExp(`${N} % of ${N}, which is ${N},`),
      comesTo: (percent, along) => sayNumber(exact((percent! / 100) * along!)),
      at: 2,
    },
    grid: {
      form: new RegExp(`px of the device at ${N} px per lu: ${N} px off its grid`),
      comesTo: () => null,
      at: 0,
    },
    millimetres: {
      form: new RegExp(
        `^It is ${N} mm wide: ${N} lu are seen across × ${N} px per lu(?: × ${N} px of the panel for ${N})? ÷ ${N} px of the panel per inch × ${N} mm\\.$`,
      ),
      comesTo: (_, lu, density, panel = 1, framebuffer = 1, ppi, inch) =>
        sayNumber(exact(((lu! * density! * (panel / framebuffer)) / ppi!) * inch!)),
      at: 0,
    },
    contrast: { form: /of (#\w{6}) over (#\w{6})\.$/, comesTo: () => null, at: 0 },
  };

/** How often each form was read and worked out again. */
const seen = new Map<string, number>();

/** Works a step out again from what it says. */
function check(text: string): void {
  const grid = new RegExp(
    `lies at ${N} lu, which is ${N} px of the device at ${N} px per lu: ${N} px off`,
  ).exec(text);
  if (grid) {
    const [, at, px, density, off] = grid as unknown as [string, string, string, string, string];
    expect([text, sayDecimals(exact(number(at) * number(density)), decimalsOf(px))]).toEqual([text, px]);
    expect([text, sayPixels(exact(Math.abs(number(px) - Math.round(number(px)))))]).toEqual([text, off]);
  }
  const least = /: ([\d.]+) : 1 of (#\w{6}) over (#\w{6})\.$/.exec(text);
  if (least) {
    const ratio = contrastRatio(rgbaOf(least[2]!), rgbaOf(least[3]!));
    expect([text, Math.floor(ratio * 10 + 1e-9) / 10]).toEqual([text, Number(least[1])]);
  }
  for (const [name, { form, comesTo, at }] of Object.entries(FORMS)) {
    const match = form.exec(text);
    if (!match) continue;
    seen.set(name, (seen.get(name) ?? 0) + 1);
    const said = match.slice(1);
    const result = comesTo(...said.map((s) => (s === undefined ? undefined : number(s)) as number));
    if (result !== null) expect([text, result]).toEqual([text, said[at]]);
  }
}

const FIGURES: readonly FigureName[] = [
  'drawn-width',
  'drawn-height',
  'scale',
  'crop',
  'bare',
  'bare-screen',
  'enlargement',
  'excess',
  'sub-pixel',
  'share-width',
  'share-height',
  'width-mm',
  'clearance',
];

const cases = casesOf(SCREENS, ['light']);

/** Lengths that rules refer to by name. */
const named = ['gap', 'pad'].map((id) => ({ id, name: id, value: { value: 12, unit: 'lu' as const } }));

/** A picture of any size and density, placed and fitted by any rule, on any screen of the catalogue. */
const asked = fc
  .record({
    px: fc.record({
      widthPx: fc.integer({ min: 1, max: 5000 }),
      heightPx: fc.integer({ min: 1, max: 5000 }),
    }),
    density: fc.constantFrom(1, 1.5, 2, 2.625, 3, 3.5, 4, 0.75, 2.8125),
    placing,
    fit: anyFit,
    c: fc.constantFrom(...cases),
  })
  .map(({ px, density, placing: rule, fit, c }) => {
    const pictures = [pictureOf('photo', { ...px, density })];
    return {
      c,
      input: () => ({ ...inputOf([pictureLayer(rule, { picture: 'photo', fit })], pictures), named }),
    };
  })
  .filter(({ input, c }) => isDrawn(input, c))
  .map(({ input, c }) => ({ input: input(), c }));

/** Whether a rule can be kept and drawn: not all that are thrown together here can. */
function isDrawn(input: () => ReturnType<typeof inputOf>, c: (typeof cases)[number]): boolean {
  try {
    return surveyCase(input(), c).layers.some((l) => l.id === 'it');
  } catch {
    return false;
  }
}

test('every step of a reason can be worked out again from the figures that it says', () => {
  fc.assert(
    fc.property(asked, ({ input, c }) => {
      for (const name of FIGURES)
        for (const side of [undefined, ...SIDES])
          for (const { reason } of steps(explain(input, c, 'it', { name, side }))) check(reason.text);
      for (const what of ['x', 'y', ...SIDES] as const)
        for (const { reason } of steps(explainScreen(input, c, what))) check(reason.text);
    }),
    { numRuns: 80 },
  );
  const missing = Object.keys(FORMS).filter((name) => !seen.has(name) && name !== 'contrast');
  expect(missing).toEqual([]);
});
