import type { PerSide, Size } from '../geometry/rect';
import { sayNumber, saySize } from '../words/numbers';
import { densityProblems, impossibleBecause, sizeProblems } from './check';
import { pxOf, screenOf } from './own';
import type { Screen } from './screen';
import { FIELD_WORDS, type Field, type Mapping, type Table } from './table';

/** How the figures of a table are meant. */
export interface ImportWays {
  mapping: Mapping;
  unit: 'lu' | 'px';
  /** whether a number has a comma before its decimals */
  decimalComma: boolean;
}

/** A line that is not taken, and why. */
export interface BadLine {
  line: number;
  why: string;
}

/** What a table comes to. */
export interface ImportPlan {
  /** lines that belong to a screen that is known, by its id */
  joined: { screen: Screen; lines: number[]; weight: number }[];
  added: { screen: Screen; lines: number[]; weight: number }[];
  bad: BadLine[];
  /** whether lines have weights; otherwise each counts one */
  hasWeights: boolean;
}

/** A figure that is not as it should be. */
class BadFigure extends Error {}

/** What may stand between thousands whichever sign stands before decimals. */
const THIN = String.raw`[\s\u00a0\u202f’']`;

const THIN_SIGNS = new RegExp(THIN, 'g');

/** A number whose thousands are told apart by one sign, or not at all. @param point what stands before decimals @param group between thousands */
const numberForm = (point: string, group: string) =>
  new RegExp(
    String.raw`^[-−+]?(?:\d+|\d{1,3}(?:[${group}]\d{3})+|\d{1,3}(?:${THIN}\d{3})+)?(?:[${point}]\d+)?(?:e[-+]?\d+)?$`,
    'i',
  );
const FORMS = { point: numberForm('.', ','), comma: numberForm(',', '.') };

/** “1.234,5”, “1 234.5” and “1234.5” are all numbers; what is not grouped by thousands, and infinity, are NaN. */
function numberOf(text: string, decimalComma: boolean): number {
  const bare = text.trim();
  if (!/\d/.test(bare) || !(decimalComma ? FORMS.comma : FORMS.point).test(bare)) return NaN;
  const digits = bare.replaceAll(THIN_SIGNS, '').replace('−', '-');
  return Number(decimalComma ? digits.replaceAll('.', '').replace(',', '.') : digits.replaceAll(',', ''));
}

/** Why a text is no figure, and what to do where it is one with the other sign before its decimals. */
function noFigure(text: string, field: Field, decimalComma: boolean): string {
  const [here, there] = decimalComma ? ['comma', 'point'] : ['point', 'comma'];
  const way = Number.isNaN(numberOf(text, !decimalComma))
    ? ''
    : ` with a ${here} before its decimals: say that a ${there} stands there, if it does in the whole table`;
  return `“${text}” is no ${FIELD_WORDS[field]}${way}.`;
}

interface Line {
  name: string;
  /** lu or px, as the table has it */
  size: Size;
  density: number | null;
  weight: number;
  insets: PerSide | null;
}

/** “412x915”, “412 × 915” or “412*915” */
const SIZE = /^\s*([\d.,]+)\s*[x×*]\s*([\d.,]+)\s*$/i;

/** Reads one line. @throws BadFigure that says what is wrong with it */
function lineOf(cells: readonly string[], { mapping, decimalComma }: ImportWays): Line {
  const cell = (field: Field) => (mapping[field] === null ? '' : (cells[mapping[field]] ?? '').trim());
  const figure = (field: Field, text = cell(field)) => {
    if (text === '') throw new BadFigure(`There is no ${FIELD_WORDS[field]}.`);
    const value = numberOf(text, decimalComma);
    if (Number.isNaN(value)) throw new BadFigure(noFigure(text, field, decimalComma));
    if (value < 0) throw new BadFigure(`The ${FIELD_WORDS[field]} is negative: ${text}.`);
    return value;
  };
  const [, a, b] = mapping.size === null ? [] : (SIZE.exec(cell('size')) ?? []);
  if (mapping.size !== null && mapping.width === null && a === undefined)
    throw new BadFigure(`“${cell('size')}” is no ${FIELD_WORDS.size}.`);
  const size = { width: figure('width', a), height: figure('height', b) };
  if (size.width === 0 || size.height === 0) throw new BadFigure('A side is 0.');
  const given = (['top', 'right', 'bottom', 'left'] as const).filter((s) => cell(s) !== '');
  const inset = (side: keyof PerSide) => (cell(side) === '' ? 0 : figure(side));
  return {
    name: cell('name'),
    size,
    density: cell('density') === '' ? null : figure('density'),
    weight: mapping.weight === null ? 1 : figure('weight'),
    insets:
      given.length > 0
        ? { top: inset('top'), right: inset('right'), bottom: inset('bottom'), left: inset('left') }
        : null,
  };
}

const firstOf = <T>(found: Generator<T & { isImpossible: boolean; text: string }>): string | null =>
  [...found].find((p) => p.isImpossible)?.text ?? null;

/** Sizes in lu are whole numbers in most tables; densities have a few decimals. */
const NEAR = { lu: 0.75, rounded: 0.999, density: 0.02, px: 1.5 };

const turned = ({ width, height }: Size): Size => ({ width: height, height: width });

/** Its px divided by its density, lu: the labels of a class are these, rounded in the way of whoever made it. */
const trueSize = ({ framebufferPx: { width, height }, density }: Screen): Size => ({
  width: width / density,
  height: height / density,
});

/** A size that a table may say of a screen, and how far what it says may be from it along each side. */
interface SaidSize {
  size: Size;
  near: number;
}

/** What a table may say of the size of a screen. A true size is said rounded, up or down. */
const sizesIn = (screen: Screen, unit: ImportWays['unit']): SaidSize[] =>
  unit === 'px'
    ? [screen.framebufferPx, screen.panelPx].map((size) => ({ size, near: NEAR.px }))
    : [
        { size: screen, near: NEAR.lu },
        { size: trueSize(screen), near: NEAR.rounded },
      ];

/** Whether a screen has the size of a line, upright or turned. */
function isOf(screen: Screen, { size, density }: Line, unit: ImportWays['unit']): boolean {
  if (density !== null && Math.abs(screen.density - density) > NEAR.density) return false;
  return sizesIn(screen, unit).some(({ size: s, near }) =>
    [size, turned(size)].some(
      (asked) => Math.abs(s.width - asked.width) <= near && Math.abs(s.height - asked.height) <= near,
    ),
  );
}

/** How far the insets of a screen are from those of a line, lu; nothing where a line says none. */
const insetsApart = ({ insets }: Screen, line: Line) =>
  line.insets
    ? (['top', 'right', 'bottom', 'left'] as const).reduce(
        (sum, s) => sum + Math.abs(insets[0][s] - line.insets![s]),
        0,
      )
    : 0;
/** Insets that differ by more are those of another screen. */
const INSETS_APART = 4;

/** Screens by their size, so that not all of them are held against each of thousands of lines. */
class BySize {
  private readonly cells = new Map<string, Screen[]>();
  private readonly step: number;

  constructor(
    private readonly unit: ImportWays['unit'],
    screens: readonly Screen[] = [],
  ) {
    // What is near a size lies in its cell or in one beside it.
    this.step = 2 * (unit === 'px' ? NEAR.px : NEAR.lu);
    for (const screen of screens) this.add(screen);
  }

  private cellOf({ width, height }: Size): [number, number] {
    const cell = (side: number) => Math.floor(side / this.step);
    return [cell(Math.min(width, height)), cell(Math.max(width, height))];
  }

  add(screen: Screen): void {
    for (const { size } of sizesIn(screen, this.unit)) {
      const key = this.cellOf(size).join(' ');
      const here = this.cells.get(key) ?? [];
      if (!here.includes(screen)) here.push(screen);
      this.cells.set(key, here);
    }
  }

  /** The screen that a line belongs to: of its size and density, with its insets, the most used of those. */
  classOf(line: Line): Screen | null {
    const [short, long] = this.cellOf(line.size);
    const beside = [-1, 0, 1].flatMap((i) =>
      [-1, 0, 1].flatMap((j) => this.cells.get(`${short + i} ${long + j}`) ?? []),
    );
    const alike = [...new Set(beside)]
      .filter((s) => isOf(s, line, this.unit) && insetsApart(s, line) <= INSETS_APART)
      .sort((a, b) => insetsApart(a, line) - insetsApart(b, line) || b.weight - a.weight);
    return alike[0] ?? null;
  }
}

/** A screen of a line that belongs to none. @throws BadFigure where it cannot be one */
function screenOfLine(line: Line, { unit }: ImportWays, id: string): Screen {
  const { density, size } = line;
  if (density === null)
    throw new BadFigure(
      `No screen of ${saySize(size)} ${unit} is known, and without px per lu it cannot be added.`,
    );
  const px =
    unit === 'px' ? { width: Math.round(size.width), height: Math.round(size.height) } : pxOf(size, density);
  const screen = screenOf({
    id,
    label: (line.name || `${sayNumber(px.width / density)} × ${sayNumber(px.height / density)}`).slice(
      0,
      200,
    ),
    px,
    density,
    insets: line.insets ?? undefined,
    weight: line.weight,
    origin: 'imported',
  });
  const why = impossibleBecause(screen);
  if (why) throw new BadFigure(why);
  return screen;
}

function check(line: Line, { unit }: ImportWays): void {
  const { density, size } = line;
  const why =
    (density !== null && firstOf(densityProblems(density))) ||
    firstOf(
      sizeProblems(
        unit === 'px' ? { width: size.width / (density ?? 1), height: size.height / (density ?? 1) } : size,
      ),
    );
  // Px of a screen whose density is not said are not lu.
  if (why && (unit === 'lu' || density !== null || !why.includes('lu'))) throw new BadFigure(why);
}

/**
 * What the lines of a table come to: those that belong to a screen that is known, by size, density and insets, those that are a
 * new one, and those that cannot be, with the reason. Lines of the same new screen are taken together.
 * @param screens every screen that is known
 * @param newId gives an id for each screen that is added
 */
export function planImport(
  table: Table,
  ways: ImportWays,
  screens: readonly Screen[],
  newId: () => string,
): ImportPlan {
  const known = new BySize(ways.unit, screens);
  const own = new BySize(ways.unit);
  const joined = new Map<string, ImportPlan['joined'][number]>();
  const added = new Map<string, ImportPlan['added'][number]>();
  const bad: BadLine[] = [];
  const named = new Map<string, ImportPlan['added'][number]>();
  for (const { line, cells } of table.rows)
    try {
      const read = lineOf(cells, ways);
      check(read, ways);
      const is = known.classOf(read);
      const like = is ? null : own.classOf(read);
      const same = is ? joined.get(is.id) : like && added.get(like.id);
      if (same) {
        same.lines.push(line);
        same.weight += read.weight;
      } else if (is) joined.set(is.id, { screen: is, lines: [line], weight: read.weight });
      else {
        const other = named.get(read.name);
        if (read.name && other)
          throw new BadFigure(`“${read.name}” is already another screen, on line ${other.lines[0]}.`);
        const one = { screen: screenOfLine(read, ways, newId()), lines: [line], weight: read.weight };
        added.set(one.screen.id, one);
        own.add(one.screen);
        if (read.name) named.set(read.name, one);
      }
    } catch (error) {
      if (!(error instanceof BadFigure)) throw error;
      bad.push({ line, why: error.message });
    }
  return {
    joined: [...joined.values()],
    added: [...added.values()],
    bad,
    hasWeights: ways.mapping.weight !== null,
  };
}

/** So many lines tell in which unit sizes are. */
const TOLD_BY = 500;

/**
 * In which unit the sizes of a table are: the one by which more of its lines belong to a screen that is known; lu, where neither
 * does, unless most of its sides are longer than those of any phone.
 */
export function guessUnit(
  { rows }: Table,
  ways: Omit<ImportWays, 'unit'>,
  screens: readonly Screen[],
): ImportWays['unit'] {
  const lines = rows.slice(0, TOLD_BY).flatMap(({ cells }) => {
    try {
      return [lineOf(cells, { ...ways, unit: 'lu' })];
    } catch {
      return [];
    }
  });
  const known = (unit: ImportWays['unit']) => {
    const by = new BySize(unit, screens);
    return lines.filter((line) => by.classOf(line)).length;
  };
  const [lu, px] = [known('lu'), known('px')];
  if (lu !== px) return lu > px ? 'lu' : 'px';
  const long = lines.filter(({ size }) => Math.max(size.width, size.height) > LONGEST_PHONE).length;
  return long > lines.length / 2 ? 'px' : 'lu';
}

/** lu */
const LONGEST_PHONE = 1100;
