import fc from 'fast-check';
import { demoDocuments } from '../../../demo/documents';
import * as any from '../testing/arbitraries';
import { usersOfNamed } from './named';
import { readTokens, takeIn, writeTokens } from './tokens';
import type { NamedValue } from './values';

const plain = (v: object) => !('named' in v);
const named: fc.Arbitrary<NamedValue[]> = fc.uniqueArray(
  fc.record({
    id: fc.uuid(),
    name: fc.stringMatching(/^[a-zA-Zé][a-zA-Z é/-]{0,20}[a-z]$/),
    value: fc.oneof(any.anyLength.filter(plain), any.colour.filter(plain)) as fc.Arbitrary<
      NamedValue['value']
    >,
  }),
  { selector: (n) => n.name, maxLength: 8 },
);

describe('design tokens', () => {
  it('give back every named value that they were written from', () => {
    fc.assert(
      fc.property(named, (list) => {
        const json: unknown = JSON.parse(JSON.stringify(writeTokens(list)));
        const { values, leftOut } = readTokens(json);
        expect(leftOut).toEqual([]);
        expect(values).toEqual(list.map(({ name, value }) => ({ name, value })));
      }),
    );
  });

  it('are written as the format has them', () => {
    const value = { light: '#ff8000', dark: '#0000ff80' };
    expect(writeTokens([{ id: 'a', name: 'sun.rise', value }])).toEqual({
      'sun-rise': {
        $type: 'color',
        $value: { colorSpace: 'srgb', components: [1, 0.502, 0], hex: '#ff8000' },
        $extensions: {
          'org.coulee': {
            dark: { colorSpace: 'srgb', components: [0, 0, 1], alpha: 0.502, hex: '#0000ff' },
          },
        },
      },
    });
    const length = { id: 'b', name: 'gap', value: { value: 16, unit: 'lu' as const } };
    expect(writeTokens([length, length])).toEqual({
      gap: { $type: 'dimension', $value: { value: 16, unit: 'px' } },
      'gap 2': { $type: 'dimension', $value: { value: 16, unit: 'px' } },
    });
  });

  it('are read through groups, inherited types, references, rem and the older short forms', () => {
    const { values, leftOut } = readTokens({
      space: {
        $type: 'dimension',
        small: { $value: { value: 0.5, unit: 'rem' } },
        page: { $value: '{space.small}' },
        old: { $value: '12px' },
      },
      sea: { $type: 'color', $value: '#12303B' },
      shade: { $value: '{sea}' },
      nowhere: { $type: 'color', $value: '{sky}' },
      circle: { $type: 'color', $value: '{circle}' },
      font: { $type: 'fontFamily', $value: 'x' },
      wide: { $type: 'color', $value: { colorSpace: 'display-p3', components: [1, 0, 0] } },
    });
    expect(values).toEqual([
      { name: 'space / small', value: { value: 8, unit: 'lu' } },
      { name: 'space / page', value: { value: 8, unit: 'lu' } },
      { name: 'space / old', value: { value: 12, unit: 'lu' } },
      { name: 'sea', value: { light: '#12303b' } },
      { name: 'shade', value: { light: '#12303b' } },
    ]);
    expect(leftOut).toEqual([
      'nowhere: it refers to a token that is not there',
      'circle: it refers to a token that is not there',
      'font: tokens of the type fontFamily are not read',
      'wide: only colours in srgb are read',
    ]);
    expect(readTokens([1]).leftOut).toHaveLength(1);
  });

  it('change what is there by its name and kind, and add the rest', () => {
    const old: NamedValue[] = [{ id: 'a', name: 'gap', value: { value: 4, unit: 'lu' } }];
    const values = [
      { name: 'gap', value: { value: 9, unit: 'lu' as const } },
      { name: 'gap', value: { light: '#ffffff' } },
    ];
    expect(takeIn(old, values, () => 'new')).toEqual([
      { id: 'a', name: 'gap', value: { value: 9, unit: 'lu' } },
      { id: 'new', name: 'gap', value: { light: '#ffffff' } },
    ]);
  });
});

describe('named values', () => {
  it('know where they are used', () => {
    const documents = demoDocuments(() => []);
    expect(usersOfNamed('gap', documents)).toEqual(['Sign-in, Form']);
    expect(usersOfNamed('deep-water', documents)).toEqual([
      'Winter splash, Ground',
      'Mended splash',
      'Mended splash, Ground',
      'Sign-in',
      'Sign-in, Ground',
    ]);
  });
});
