import { planImport } from '@/core/screens/import';
import { guessMapping } from '@/core/screens/table';
import { SCREENS } from '@/core/testing/scenes';
import { readTable, UnreadableTable } from './read';
import { writeScreens } from './write';

const bytes = (text: string) => new TextEncoder().encode(text);
const read = (text: string, header?: boolean) => readTable(bytes(text), header);

describe('a table of screens', () => {
  it.each([
    ['comma', 'name,width,height\na,390,844\n', false],
    ['semicolon', 'name;width;height;px per lu\na;411,4;914,3;2,625\n', true],
    ['tab', 'name\twidth\theight\na\t390\t844\n', false],
  ])('is read whatever its delimiter: %s', (delimiter, text, decimalComma) => {
    const found = read(text);
    expect(found).toMatchObject({ delimiter, decimalComma, hasHeader: true, encoding: 'UTF-8' });
    expect(found.table.rows).toHaveLength(1);
    expect(found.table.rows[0]).toMatchObject({ line: 2 });
    expect(found.table.columns.slice(0, 3)).toEqual(['name', 'width', 'height']);
  });

  it('is read whatever its encoding', () => {
    const utf16 = new Uint8Array([0xff, 0xfe, ...[...'a;b\n1;2'].flatMap((c) => [c.charCodeAt(0), 0])]);
    expect(readTable(utf16)).toMatchObject({ encoding: 'UTF-16', table: { columns: ['a', 'b'] } });
    const latin = new Uint8Array([...bytes('name,width\n'), 0x46, 0xfc, ...bytes(',390')]);
    expect(readTable(latin)).toMatchObject({
      encoding: 'Windows-1252',
      table: { rows: [{ cells: ['Fü', '390'] }] },
    });
    expect(read('\ufeffname,width\na,1').table.columns).toEqual(['name', 'width']);
  });

  it('may be without a header, and have empty lines and quotes', () => {
    const found = read('390,844,12\n\n393,852,"1,234"\n');
    expect(found.hasHeader).toBe(false);
    expect(found.table.columns).toEqual(['column 1', 'column 2', 'column 3']);
    expect(found.table.rows.map((r) => [r.line, r.cells[2]])).toEqual([
      [1, '12'],
      [3, '1,234'],
    ]);
    expect(read('390,844\n393,852', true).table.rows).toHaveLength(1);
  });

  it('may be JSON: a list of objects, or an object that holds one', () => {
    const rows = [
      { width: 390, height: 844 },
      { width: 393, users: null },
    ];
    for (const json of [rows, { screens: rows }])
      expect(read(JSON.stringify(json)).table).toEqual({
        columns: ['width', 'height', 'users'],
        rows: [
          { line: 1, cells: ['390', '844', ''] },
          { line: 2, cells: ['393', '', ''] },
        ],
      });
  });

  it.each<[string, Uint8Array, RegExp]>([
    ['a binary file', new Uint8Array([80, 75, 3, 4, 0, 0, 1]), /binary/],
    ['nothing', bytes('\n \n'), /empty/],
    ['a header alone', bytes('a,b\n'), /no lines/],
    ['a quote that never closes', bytes('a,b\n1,"2\n3,4\n'), /line 2 is never closed/],
    ['a quoted field of 2 MB', bytes(`a,b\n1,"${'x'.repeat(2_000_000)}"\n`), /line 2 goes on for more than/],
    ['2 MB after a quote that never closes', bytes(`a,b\n1,"${'3,4\n'.repeat(500_000)}`), /line 2 goes on/],
    ['300 columns', bytes(`${Array.from({ length: 300 }, (_, i) => `c${i}`).join(',')}\n1\n`), /300 columns/],
    ['50 MB', new Uint8Array(50 * 1024 * 1024).fill(97), /52 MB/],
    ['JSON that is cut off', bytes('[{"width": 1'), /no JSON/],
    ['JSON of another shape', bytes('{"width": {"a": [1]}}'), /no list of screens/],
    ['JSON of nested rows', bytes('[{"size": {"width": 1}}]'), /no list of screens/],
  ])('is refused in words where it is %s', (_, file, why) => {
    expect(() => readTable(file)).toThrow(UnreadableTable);
    expect(() => readTable(file)).toThrow(why);
  });

  it('may have inches in its names, which open nothing', () => {
    const found = read(`name,width\n${'Phone 6.5" large,390\n'.repeat(2000)}`);
    expect(found.table.rows).toHaveLength(2000);
  });

  it('as CSV runs nothing in a spreadsheet, and comes back with the same names', () => {
    const label = '=HYPERLINK("https://example.test")';
    const csv = writeScreens([{ ...SCREENS[0]!, label }], 'csv');
    expect(csv).toContain(`"'=HYPERLINK`);
    expect(read(csv).table.rows[0]!.cells[0]).toBe(label);
  });

  it.each(['csv', 'json'] as const)('comes back as it was written as %s, every screen joined', (type) => {
    const { table } = read(writeScreens(SCREENS, type));
    const ways = { mapping: guessMapping(table.columns), unit: 'px' as const, decimalComma: false };
    const { joined, added, bad } = planImport(table, ways, SCREENS, () => 'new');
    expect([added, bad]).toEqual([[], []]);
    const sum = (all: readonly { weight: number }[]) => all.reduce((total, s) => total + s.weight, 0);
    expect(sum(joined)).toBeCloseTo(sum(SCREENS), 6);
    expect(joined.flatMap((j) => j.lines)).toHaveLength(SCREENS.length);
  });
});
