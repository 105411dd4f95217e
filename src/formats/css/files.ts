import { chooseRendition, naturalSizeOf } from '@/core/pictures/choose';
import type { Picture, Rendition } from '@/core/pictures/picture';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES, type Appearance } from '@/core/values/values';
import type { Cell } from './cells';
import type { NaturalCss } from './sizes';
import { Rules } from './rules';
import { cssNumber, Sum } from './sum';

/** A file of a picture, and on which screens it is taken; of two that hold, the later one. */
export interface TakenFile {
  /** a media query; `null` holds everywhere */
  media: string | null;
  rendition: Rendition;
}

/** The files that a picture takes in one orientation. */
export interface TakenFiles {
  files: readonly TakenFile[];
  /** densities at which the two families of systems take different files, so that no media query can tell them apart */
  doubtful: readonly number[];
}

interface Step {
  /** from this density on; `null` from the first on */
  from: number | null;
  rendition: Rendition;
}

/** Screens of each density, the heavier family first, so that its choice is the one that is written. */
function byDensity(screens: readonly Screen[]): [number, Screen[]][] {
  const weight = (family: Screen['family']) =>
    screens.filter((s) => s.family === family).reduce((sum, s) => sum + s.weight, 0);
  const sorted = screens.toSorted((a, b) => a.density - b.density || weight(b.family) - weight(a.family));
  const densities = [...new Set(sorted.map((s) => s.density))];
  return densities.map((density) => [density, sorted.filter((s) => s.density === density)]);
}

function stepsOf(
  picture: Picture,
  screens: readonly Screen[],
  cell: Pick<Cell, 'orientation'>,
  appearance: Appearance,
) {
  const steps: Step[] = [];
  const doubtful: number[] = [];
  let before: number | null = null;
  for (const [density, alike] of byDensity(screens)) {
    const chosen = alike.map(
      (s) => chooseRendition(picture, s, `${cell.orientation}-primary`, appearance).rendition,
    );
    if (chosen.some((r) => r.hash !== chosen[0]!.hash)) doubtful.push(density);
    if (steps.at(-1)?.rendition !== chosen[0])
      steps.push({ from: before === null ? null : (before + density) / 2, rendition: chosen[0]! });
    before = density;
  }
  return { steps, doubtful };
}

const sameSteps = (a: readonly Step[], b: readonly Step[]) =>
  a.length === b.length && a.every((s, i) => s.rendition === b[i]!.rendition);

/** @param screens those that the page is for, at least one */
export function takenFiles(
  picture: Picture,
  screens: readonly Screen[],
  cell: Pick<Cell, 'orientation'>,
): TakenFiles {
  const [light, dark] = APPEARANCES.map((a) => stepsOf(picture, screens, cell, a)) as [
    ReturnType<typeof stepsOf>,
    ReturnType<typeof stepsOf>,
  ];
  const said = ({ steps }: typeof light, scheme: string | null): TakenFile[] =>
    steps.map(({ from, rendition }) => {
      const density = from === null ? null : `(min-resolution: ${cssNumber(from)}dppx)`;
      return { media: [scheme, density].filter(Boolean).join(' and ') || null, rendition };
    });
  const isSame = sameSteps(light.steps, dark.steps);
  return {
    files: [...said(light, null), ...(isSame ? [] : said(dark, '(prefers-color-scheme: dark)'))],
    doubtful: [...new Set([...light.doubtful, ...dark.doubtful])],
  };
}

/** Natural sizes that differ by less than this are the same, lu. */
const SAME = 1e-6;

/** Whether all files have one natural size, which then needs no custom properties. */
function isOneSize({ files }: TakenFiles): boolean {
  const [first, ...rest] = files.map((f) => naturalSizeOf(f.rendition));
  return rest.every(
    (s) => Math.abs(s.width - first!.width) < SAME && Math.abs(s.height - first!.height) < SAME,
  );
}

/** The one shape of all files, width ÷ height; `null` where they differ. */
function oneShape({ files }: TakenFiles): number | null {
  const [first, ...rest] = files.map((f) => f.rendition.widthPx / f.rendition.heightPx);
  return rest.every((shape) => Math.abs(shape - first!) < SAME) ? first! : null;
}

/** @param name identifier of the layer */
export function naturalCss(taken: TakenFiles, name: string): NaturalCss {
  const one = oneShape(taken);
  const shape =
    one === null ? { x: `var(--${name}-shape)`, y: `1 / var(--${name}-shape)` } : { x: one, y: 1 / one };
  if (!isOneSize(taken))
    return {
      width: Sum.of(`var(--${name}-natural-width)`, true),
      height: Sum.of(`var(--${name}-natural-height)`, true),
      shape,
    };
  const { width, height } = naturalSizeOf(taken.files[0]!.rendition);
  return { width: Sum.px(width), height: Sum.px(height), shape };
}

/** A file as CSS takes it, with its density, so that it has its natural size. @param address of a file, by its hash */
export function fileCss({ hash, density, vector }: Rendition, address: (hash: string) => string): string {
  const url = `url("${address(hash)}")`;
  return vector || density === 1 ? url : `image-set(${url} ${cssNumber(density)}x)`;
}

/** What each file declares on the scene. @param file whether the layer needs the file itself in CSS */
export function fileRules(
  taken: TakenFiles,
  name: string,
  address: ((hash: string) => string) | null,
): { media: string | null; rules: Rules }[] {
  const sized = isOneSize(taken);
  const shaped = oneShape(taken) !== null;
  return taken.files.map(({ media, rendition }) => {
    const { width, height } = naturalSizeOf(rendition);
    const rules = new Rules().add('.scene', {
      [`--${name}-natural-width`]: !sized && `${cssNumber(width)}px`,
      [`--${name}-natural-height`]: !sized && `${cssNumber(height)}px`,
      [`--${name}-shape`]: !shaped && String(width / height),
      [`--${name}-file`]: address && fileCss(rendition, address),
    });
    return { media, rules };
  });
}
