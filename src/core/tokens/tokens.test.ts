import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import * as any from '../testing/arbitraries';
import { usersOfNamed } from '../project/named';
import { plainOf, resolveColour, resolveLength, type NamedValue } from '../values/values';
import { mergedTokens, readTokens } from './read';
import { tokensIn, type Json } from './tree';
import { takeIn, writeTokens } from './write';

const plain = (v: object) => !('named' in v);
const named: fc.Arbitrary<NamedValue[]> = fc.uniqueArray(
  fc.record(
    {
      id: fc.uuid(),
      name: fc.stringMatching(/^[a-zA-Zé][a-zA-Z é-]{0,12}[a-z]( \/ [a-z]{1,8}){0,2}$/),
      value: fc.oneof(any.anyLength.filter(plain), any.colour.filter(plain)) as fc.Arbitrary<
        NamedValue['value']
      >,
      description: fc.string({ minLength: 1, maxLength: 20 }),
    },
    { requiredKeys: ['id', 'name', 'value'] },
  ),
  { selector: (n) => n.name, maxLength: 8 },
);
let n = 0;
const newId = () => `new-${n++}`;
const taken = (document: unknown, before: readonly NamedValue[] = []) => {
  const read = readTokens(document);
  return { ...read, ...takeIn(before, read, read.json, newId) };
};
const throughJson = (json: unknown): unknown => JSON.parse(JSON.stringify(json));
const byName = (list: readonly NamedValue[], name: string) => list.find((v) => v.name === name)!;

/** Every kind of token and of group that the text of the format has, as it writes them. */
const ALL_KINDS: Json = {
  $description: 'Everything at once',
  brand: {
    $type: 'color',
    $description: 'What the ferries are painted in',
    $extensions: { 'org.example': { owner: 'harbour' } },
    $root: { $value: { colorSpace: 'srgb', components: [0.2, 0.4, 0.6], hex: '#336699' } },
    deep: {
      $value: { colorSpace: 'oklch', components: [0.4, 0.06, 220], alpha: 1, hex: '#1f4a57' },
      $description: 'Deep water',
      $deprecated: 'Use night instead.',
    },
    lamp: { $value: { colorSpace: 'display-p3', components: [1, 0.8, 'none'], alpha: 0.5 } },
    fog: { $value: { colorSpace: 'hsl', components: ['none', 0, 90] } },
    alias: { $value: '{brand.deep}' },
    pointed: { $value: { $ref: '#/brand/deep/$value' } },
    far: { $value: '{brand.alias}', $deprecated: true },
  },
  space: {
    small: { $type: 'dimension', $value: { value: 5, unit: 'px' } },
    page: { $type: 'dimension', $value: { value: 1.5, unit: 'rem' } },
    inner: { $value: '{space.small}', $description: 'As small' },
  },
  font: {
    family: { $type: 'fontFamily', $value: ['Ferry Sans', 'sans-serif'] },
    weight: { $type: 'fontWeight', $value: 'semi-bold' },
  },
  motion: {
    quick: { $type: 'duration', $value: { value: 120, unit: 'ms' } },
    out: { $type: 'cubicBezier', $value: [0.2, 0, 0, 1] },
  },
  ratio: { $type: 'number', $value: 1.618 },
  border: {
    dashed: { $type: 'strokeStyle', $value: { dashArray: [{ value: 2, unit: 'px' }], lineCap: 'round' } },
    thin: {
      $type: 'border',
      $value: { color: '{brand.deep}', width: { value: 1, unit: 'px' }, style: 'solid' },
    },
  },
  shade: {
    $type: 'shadow',
    $value: {
      color: { $ref: '#/brand/deep/$value' },
      offsetX: { value: 0, unit: 'px' },
      offsetY: { value: 2, unit: 'px' },
      blur: { value: 4, unit: 'px' },
      spread: { value: 0, unit: 'px' },
    },
  },
  fade: {
    $type: 'transition',
    $value: { duration: '{motion.quick}', delay: { value: 0, unit: 'ms' }, timingFunction: '{motion.out}' },
  },
  dawn: { $type: 'gradient', $value: [{ color: '{brand.deep}', position: 0 }] },
  heading: { $type: 'typography', $value: { fontFamily: '{font.family}', fontSize: '{space.page}' } },
  derived: { $extends: '{brand}' },
  old: { length: { $type: 'dimension', $value: '12px' }, colour: { $type: 'color', $value: '#12303B' } },
};

describe('a file of design tokens of all kinds', () => {
  const read = taken(ALL_KINDS);

  it('comes back equal', () => {
    expect(throughJson(writeTokens(read.named, read.tokens!))).toEqual(ALL_KINDS);
    // Also after it was kept as JSON, and taken in once more.
    const again = taken(throughJson(ALL_KINDS), read.named);
    expect(again.named).toHaveLength(read.named.length);
    expect(writeTokens(again.named, mergedTokens(read.tokens!, again.tokens!))).toEqual(ALL_KINDS);
  });

  it('says by its path what is not used, and never silently', () => {
    const used = read.named.map((v) => v.name);
    const paths = tokensIn(ALL_KINDS).tokens.map((t) => t.path);
    for (const path of paths) {
      const name = path.filter((k) => k !== '$root').join(' / ');
      const said = read.leftOut.some((l) => l.startsWith(`${path.join('.')}: `));
      expect([name, used.includes(name) !== said]).toEqual([name, true]);
    }
    expect(read.leftOut).toContain('fade: tokens of the type transition are not used here');
    expect(read.leftOut).toContain('derived: what it takes over by $extends is not read');
    expect(read.notes).toEqual([
      expect.stringMatching(/^brand\.lamp: sRGB does not have it, and #ff\w{6} is the nearest$/),
    ]);
  });

  it('is read in lu, in sRGB, and through all that stands for something else', () => {
    const colour = (name: string) =>
      resolveColour(byName(read.named, name).value as never, 'light', read.named);
    const length = (name: string) => resolveLength(byName(read.named, name).value as never, 0, 3, read.named);
    expect(colour('brand')).toBe('#336699');
    expect(colour('brand / fog')).toBe('#e6e6e6');
    for (const name of ['alias', 'pointed', 'far'])
      expect(colour(`brand / ${name}`)).toBe(colour('brand / deep'));
    expect([length('space / small'), length('space / page'), length('space / inner')]).toEqual([5, 24, 5]);
    expect([length('old / length'), colour('old / colour')]).toEqual([12, '#12303b']);
    expect(byName(read.named, 'brand / far').value).toEqual({
      named: byName(read.named, 'brand / alias').id,
    });
    expect(byName(read.named, 'brand / deep').description).toBe('Deep water');
  });

  it('changes only where something was changed', () => {
    const changed = read.named.map((v) =>
      v.name === 'space / page' ? { ...v, value: { value: 32, unit: 'lu' as const } } : v,
    );
    const expected = structuredClone(ALL_KINDS) as { space: { page: Json } };
    expected.space.page.$value = { value: 2, unit: 'rem' };
    expect(writeTokens(changed, read.tokens!)).toEqual(expected);

    const own = read.named.map((v) =>
      v.name === 'brand / far' ? { ...v, value: { light: '#ff0000' }, description: 'By itself' } : v,
    );
    const json = writeTokens(own, read.tokens!) as { brand: Record<string, Json> };
    expect(json.brand.far).toEqual({
      $deprecated: true,
      $description: 'By itself',
      $value: { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' },
    });
    const gone = writeTokens(
      read.named.filter((v) => !v.name.startsWith('old')),
      read.tokens!,
    );
    const { old: _, ...rest } = ALL_KINDS;
    expect(gone).toEqual(rest);
  });
});

describe('design tokens', () => {
  it('give back every named value that they were written from, aliases and descriptions too', () => {
    fc.assert(
      fc.property(named, fc.nat(), (list, pick) => {
        const first = list[0];
        const all = first
          ? [...list, { id: 'alias', name: 'stands for it', value: { named: list[pick % list.length]!.id } }]
          : list;
        const json = throughJson(writeTokens(all));
        const back = taken(json);
        expect(back.leftOut).toEqual([]);
        const plainly = (of: readonly NamedValue[]) =>
          Object.fromEntries(of.map((v) => [v.name, [plainOf(v.id, of), 'named' in v.value, v.description]]));
        expect(plainly(back.named)).toEqual(plainly(all));
        expect(writeTokens(back.named, back.tokens!)).toEqual(json);
      }),
    );
  });

  it('are written as the format has them, a lu as its px and a px of the device as none', () => {
    const value = { light: '#ff8000', dark: '#0000ff80' };
    expect(writeTokens([{ id: 'a', name: 'sun.rise', value }])).toEqual({
      'sun-rise': {
        $type: 'color',
        $value: { colorSpace: 'srgb', components: [1, 0.502, 0], hex: '#ff8000' },
        $extensions: {
          'org.coulee': { dark: { colorSpace: 'srgb', components: [0, 0, 1], alpha: 0.502, hex: '#0000ff' } },
        },
      },
    });
    const five = (unit: 'lu' | 'px') => ({ id: unit, name: unit, value: { value: 5, unit } });
    const json = writeTokens([five('lu'), five('px')]);
    expect(json).toEqual({
      lu: {
        $type: 'dimension',
        $value: { value: 5, unit: 'px' },
        $extensions: { 'org.coulee': { unit: 'lu' } },
      },
      px: { $type: 'number', $value: 5, $extensions: { 'org.coulee': { unit: 'px' } } },
    });
    expect(taken(json).named.map((v) => v.value)).toEqual([five('lu').value, five('px').value]);
  });

  it('go into the groups that their names say, beside what lies there', () => {
    const length = (name: string) => ({ id: name, name, value: { value: 1, unit: '%' as const } });
    const json = writeTokens([
      length('a / b'),
      length('a'),
      length('a / b / c'),
      length('x'),
      { ...length('x'), id: 'y' },
    ]);
    const paths = tokensIn(json).tokens.map((t) => t.path.join('.'));
    expect(new Set(paths).size).toBe(5);
    expect(paths).toContain('a.b');
    expect(paths).toContain('a.$root');
    expect(paths).toContain('x 2');
  });

  it('that refer to nothing, to themselves, or are nothing are left out with the reason', () => {
    const { values, leftOut } = readTokens({
      nowhere: { $type: 'color', $value: '{sky}' },
      circle: { $type: 'color', $value: '{circle}' },
      one: { $value: '{two}' },
      two: { $value: '{one}' },
      em: { $type: 'dimension', $value: { value: 2, unit: 'em' } },
      bare: { $type: 'dimension', $value: 4 },
      odd: { $type: 'color', $value: { colorSpace: 'ink', components: [1, 2, 3] } },
      word: 'neither',
      untyped: { $value: 4 },
    });
    expect(values).toEqual([]);
    expect(leftOut).toEqual([
      'word: it is neither a token nor a group',
      'nowhere: it refers to “sky”, which is not there',
      'circle: it refers to itself',
      'one: it refers to itself',
      'two: it refers to itself',
      'em: of dimensions only px and rem are read, not “em”',
      'bare: a dimension is a number with a unit',
      'odd: the colour space ink is not known',
      'untyped: tokens of the type that is not given are not used here',
    ]);
    expect(readTokens([1]).leftOut).toHaveLength(1);
    const evil = JSON.parse(
      '{"__proto__": {"x": {"$type": "number", "$value": 1}}, "a": {"constructor": {}}}',
    ) as Json;
    expect(readTokens(evil)).toMatchObject({
      json: { a: {} },
      leftOut: ['__proto__: no token may be called so', 'a.constructor: no token may be called so'],
    });
  });

  it('change what is there by its name and kind, and add the rest', () => {
    const old: NamedValue[] = [{ id: 'a', name: 'gap', value: { value: 4, unit: 'lu' } }];
    const gap = { $type: 'dimension', $value: { value: 9, unit: 'px' } };
    expect(taken({ gap }, old).named).toEqual([{ id: 'a', name: 'gap', value: { value: 9, unit: 'lu' } }]);
    const colour = { $type: 'color', $value: '#ffffff' };
    const both = taken({ gap: colour }, old).named;
    expect(both.map((v) => [v.name, v.value])).toEqual([
      ['gap', { value: 4, unit: 'lu' }],
      ['gap', { light: '#ffffff' }],
    ]);
  });

  it('that are too many are taken in, but not kept', () => {
    const many = Object.fromEntries(
      Array.from({ length: 4000 }, (_, i) => [`t${i}`, { $type: 'duration', $value: 'x'.repeat(80) }]),
    );
    expect(taken(many).tokens).toBeNull();
  });
});

describe('named values', () => {
  it('know where they are used, also by one that stands for them', () => {
    expect(usersOfNamed('gap', demo)).toEqual(['Sign-in, Form']);
    expect(usersOfNamed('deep-water', demo)).toEqual([
      'Winter splash, Ground',
      'Mended splash',
      'Mended splash, Ground',
      'Sign-in',
      'Sign-in, Ground',
    ]);
    const project = {
      ...demo.project,
      named: [...demo.project.named, { id: 'z', name: 'Sea', value: { named: 'gap' } }],
    };
    expect(usersOfNamed('gap', { ...demo, project })).toEqual(['Sea', 'Sign-in, Form']);
  });

  it('that stand for one another in a circle come to nothing', () => {
    const list: NamedValue[] = [
      { id: 'a', name: 'a', value: { named: 'b' } },
      { id: 'b', name: 'b', value: { named: 'a' } },
      { id: 'c', name: 'c', value: { named: 'd' } },
    ];
    for (const { id } of list) expect(plainOf(id, list)).toBeNull();
    expect(() => resolveLength({ named: 'a' }, 1, 1, list)).toThrow('No length is named “a”');
  });
});
