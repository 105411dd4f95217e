import * as fc from 'fast-check';
import { SCREENS } from '../testing/scenes';
import { guessUnit, planImport, type ImportWays } from './import';
import { guessMapping, type Table } from './table';

const COLUMNS = ['Screen', 'Width', 'Height', 'Pixel ratio', 'Users', 'Inset top'];
const ways: ImportWays = { mapping: guessMapping(COLUMNS), unit: 'lu', decimalComma: false };
const table = (...rows: string[][]): Table => ({
  columns: COLUMNS,
  rows: rows.map((cells, i) => ({ line: i + 2, cells })),
});
let n = 0;
const plan = (of: Table, more: Partial<ImportWays> = {}) =>
  planImport(of, { ...ways, ...more }, SCREENS, () => `own-${n++}`);

describe('columns', () => {
  it('are known by their names, each once', () => {
    expect(ways.mapping).toMatchObject({ name: 0, width: 1, height: 2, density: 3, weight: 4, top: 5 });
    expect(guessMapping(['resolution', 'sessions'])).toMatchObject({ size: 0, weight: 1, width: null });
    expect(guessMapping(['viewport_width', 'viewport-height', 'dpr', 'active_users'])).toMatchObject({
      width: 0,
      height: 1,
      density: 2,
      weight: 3,
    });
    expect(guessMapping(['a', 'b']).width).toBeNull();
  });
});

describe('lines of a table', () => {
  it('join the screen that they belong to, upright or turned, in lu or px', () => {
    const { joined, added, bad } = plan(
      table(['', '393', '852', '3', '120', ''], ['', '852', '393', '3', '30', '']),
    );
    expect([added, bad]).toEqual([[], []]);
    expect(joined).toHaveLength(1);
    expect(joined[0]).toMatchObject({ weight: 150, lines: [2, 3] });
    expect(joined[0]!.screen).toMatchObject({ width: 393, height: 852, density: 3 });
    const px = plan(table(['', '1179', '2556', '3', '7', '']), { unit: 'px' });
    expect(px.joined[0]!.screen.id).toBe(joined[0]!.screen.id);
  });

  it('join their class also by its true size, px ÷ density, however that and the density were rounded', () => {
    const { joined, added } = plan(table(['', '411', '914', '2.63', '9', '']));
    expect(added).toEqual([]);
    expect(joined[0]!.screen.framebufferPx).toEqual({ width: 1080, height: 2400 });
    for (const { framebufferPx: px, density, id } of SCREENS)
      for (const round of [Math.floor, Math.round, Math.ceil]) {
        const side = (n: number) => String(round(n / density));
        const line = ['', side(px.width), side(px.height), density.toFixed(2), '1', ''];
        expect([id, line, plan(table(line)).added]).toEqual([id, line, []]);
      }
  });

  it('are new screens where no screen is like them, those alike as one', () => {
    const { added, joined } = plan(
      table(['Till', '500', '700', '2', '10', '20'], ['Till', '700', '500', '2', '5', '20']),
    );
    expect(joined).toEqual([]);
    expect(added).toHaveLength(1);
    expect(added[0]).toMatchObject({ weight: 15, lines: [2, 3] });
    expect(added[0]!.screen).toMatchObject({
      label: 'Till',
      framebufferPx: { width: 1000, height: 1400 },
      origin: 'imported',
      insets: { 0: { top: 20 }, 90: { left: 20 } },
    });
  });

  it('are left out with the reason where they cannot be', () => {
    const rows: [string[], RegExp][] = [
      [['a', '', '700', '2', '1', ''], /no width/],
      [['b', 'NaN', '700', '2', '1', ''], /“NaN” is no width/],
      [['c', '-500', '700', '2', '1', ''], /negative/],
      [['d', '0', '700', '2', '1', ''], /0/],
      [['e', '9000', '9', '2', '1', ''], /9 lu/],
      [['f', '5000', '60', '2', '1', ''], /times as long/],
      [['g', '500', '700', '40', '1', ''], /40 px per lu/],
      [['h', '500', '700', '0.01', '1', ''], /px per lu/],
      [['i', '500', '700', '2', 'many', ''], /“many” is no users/],
      [['j', '501', '707', '', '1', ''], /without px per lu/],
      [['k', '500', '701', '2', '1', '800'], /meet|outside/],
    ];
    const { bad, added, joined } = plan(table(...rows.map(([cells]) => cells)));
    expect([added, joined]).toEqual([[], []]);
    expect(bad.map((b) => b.line)).toEqual(rows.map((_, i) => i + 2));
    bad.forEach(({ why }, i) => expect(why).toMatch(rows[i]![1]));
  });

  it('name one screen only by one name', () => {
    const { added, bad } = plan(
      table(['Till', '500', '700', '2', '1', ''], ['Till', '510', '720', '2', '1', '']),
    );
    expect(added).toHaveLength(1);
    expect(bad).toEqual([{ line: 3, why: '“Till” is already another screen, on line 2.' }]);
  });

  it('have decimals as they are written where they come from', () => {
    const comma = plan(table(['', '411,4', '914,3', '2,625', '1.234,5', '']), { decimalComma: true });
    expect(comma.bad).toEqual([]);
    expect([...comma.joined, ...comma.added][0]!.weight).toBe(1234.5);
    const point = plan(table(['', '393', '852', '3', '1,234', '']));
    expect(point.joined[0]!.weight).toBe(1234);
  });

  it('are refused where a number has the other sign before its decimals, and never read as ten times as much', () => {
    const { bad } = plan(table(['a', '390', '844', '1,5', '1', ''], ['b', '390', '844', '3', '12,34', '']));
    expect(bad.map((b) => b.why)).toEqual([
      '“1,5” is no px per lu with a point before its decimals: say that a comma stands there, if it does in the whole table.',
      '“12,34” is no users, or another weight with a point before its decimals: say that a comma stands there, if it does in the whole table.',
    ]);
    const comma = plan(table(['a', '390.5', '844', '3', '1', '']), { decimalComma: true });
    expect(comma.bad[0]!.why).toContain('“390.5” is no width with a comma before its decimals');
    const grouped = plan(
      table(['', '393', '852', '3', '1,234,567.5', ''], ['', '393', '852', '3', '1 000', '']),
    );
    expect(grouped.joined[0]!.weight).toBe(1_235_567.5);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999_999 }), fc.integer({ min: 1, max: 99 }), (whole, part) => {
        const said = `${whole},${part}`;
        const { joined } = plan(table(['', '393', '852', '3', said, '']));
        for (const { weight } of joined) expect(weight).toBe(Number(said.replace(',', '')));
        expect(joined.length === 1).toBe(/^\d{1,3},\d{3}$/.test(said));
      }),
    );
  });

  it('tell in which unit sizes are: by the screens that they belong to', () => {
    const unit = (...rows: string[][]) => guessUnit(table(...rows), ways, SCREENS);
    expect(unit(['', '393', '852', '3', '1', ''], ['', '5000', '60', '2', '1', ''])).toBe('lu');
    expect(unit(['', '1179', '2556', '3', '1', ''], ['', 'x', '852', '3', '1', ''])).toBe('px');
    expect(unit(['', '1500', '2001', '3', '1', ''])).toBe('px');
    expect(unit(['', '501', '777', '3', '1', ''])).toBe('lu');
  });

  it('lose no weight, whatever they are', () => {
    const row = fc.tuple(
      fc.constantFrom('', 'Till', 'Desk'),
      fc.constantFrom('393', '500', '-1', 'x', '852'),
      fc.constantFrom('852', '700', '0', '393'),
      fc.constantFrom('3', '2', '', '40'),
      fc.integer({ min: 0, max: 1000 }).map(String),
      fc.constant(''),
    );
    fc.assert(
      fc.property(fc.array(row, { maxLength: 30 }), (rows) => {
        const { joined, added, bad } = plan(table(...rows));
        const lines = [...joined, ...added].flatMap((s) => s.lines);
        expect([...lines, ...bad.map((b) => b.line)].sort((a, b) => a - b)).toEqual(
          rows.map((_, i) => i + 2),
        );
        const taken = [...joined, ...added].reduce((sum, s) => sum + s.weight, 0);
        const given = rows.reduce((sum, r, i) => sum + (lines.includes(i + 2) ? Number(r[4]) : 0), 0);
        expect(taken).toBe(given);
      }),
    );
  });
});
