import fc from 'fast-check';
import { changeBetween, inverted, leadsBack, undoable } from './change';
import { applyPatch, diff, overlap, PatchError, pointerKeys, sameJson, type Patch } from './patch';

/** Names that lead to a prototype are refused as paths, which has a test of its own. */
const reserved = /__proto__|constructor|prototype/;
const json = fc.jsonValue({ maxDepth: 4 }).filter((value) => !reserved.test(JSON.stringify(value)));
/** As it would come out of a file: no −0, no undefined. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

describe('JSON Patch', () => {
  it.each<[string, unknown, Patch, unknown]>([
    ['adds a member', { a: 1 }, [{ op: 'add', path: '/b', value: 2 }], { a: 1, b: 2 }],
    ['adds into a list', [1, 3], [{ op: 'add', path: '/1', value: 2 }], [1, 2, 3]],
    ['adds at the end of a list', [1], [{ op: 'add', path: '/-', value: 2 }], [1, 2]],
    ['removes', { a: { b: [1, 2] } }, [{ op: 'remove', path: '/a/b/0' }], { a: { b: [2] } }],
    ['replaces', { 'a/b': 1, '~': 2 }, [{ op: 'replace', path: '/a~1b', value: 9 }], { 'a/b': 9, '~': 2 }],
    ['replaces the whole', 1, [{ op: 'replace', path: '', value: [] }], []],
  ])('%s', (_, document, patch, expected) => expect(applyPatch(document, patch)).toEqual(expected));

  it.each<[Patch]>([
    [[{ op: 'remove', path: '/none' }]],
    [[{ op: 'replace', path: '/none', value: 1 }]],
    [[{ op: 'add', path: '/list/5', value: 1 }]],
    [[{ op: 'remove', path: '/list/01' }]],
    [[{ op: 'add', path: '/text/x', value: 1 }]],
    [[{ op: 'add', path: '/__proto__/polluted', value: 1 }]],
    [[{ op: 'add', path: '/constructor', value: 1 }]],
    [[{ op: 'remove', path: '' }]],
    [[{ op: 'remove', path: 'list' }]],
  ])('refuses %j and names the path', (patch) => {
    const document = { list: [1], text: 'x' };
    expect(() => applyPatch(document, patch)).toThrow(PatchError);
    expect(document).toEqual({ list: [1], text: 'x' });
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });

  it('takes what an object inherits for no part of it', () => {
    expect(diff({}, { toString: {} })).toEqual([{ op: 'add', path: '/toString', value: {} }]);
    expect(sameJson({}, { valueOf: Object.prototype.valueOf })).toBe(false);
  });

  it('leads from any document to any other and back', () => {
    fc.assert(
      fc.property(json, json, (a, b) => {
        const [from, to] = [plain(a), plain(b)];
        expect(applyPatch(from, diff(from, to))).toEqual(to);
        expect(applyPatch(to, diff(to, from))).toEqual(from);
        expect(diff(from, from)).toEqual([]);
      }),
    );
  });

  it('touches only the unlike stretch of a list', () => {
    const list = [{ id: 'a' }, { id: 'b' }, { id: 'c' }];
    expect(diff(list, [list[0], list[2]])).toEqual([{ op: 'remove', path: '/1' }]);
    expect(diff([list[0], list[2]], list)).toEqual([{ op: 'add', path: '/1', value: { id: 'b' } }]);
  });

  it('shares what it does not touch', () => {
    const document = { a: { deep: [1] }, b: 1 };
    expect(applyPatch(document, [{ op: 'replace', path: '/b', value: 2 }]).a).toBe(document.a);
  });

  it('compares values whatever the order of their keys', () => {
    fc.assert(fc.property(json, (a) => expect(sameJson(a, plain(a))).toBe(sameJson(plain(a), a))));
    expect(sameJson({ a: 1, b: undefined }, { a: 1 })).toBe(true);
    expect(sameJson([1, 2], [2, 1])).toBe(false);
  });

  it('takes pointers apart', () => expect(pointerKeys('/a~1b/~0/0')).toEqual(['a/b', '~', '0']));
});

describe('changes', () => {
  const before = { scene: { x: 1, y: 2 }, name: 'a' };
  const after = { scene: { x: 5, y: 2 }, name: 'a' };
  const change = changeBetween('change-1', before, after)!;

  it('are none between equal states', () =>
    expect(changeBetween('change-0', before, plain(before))).toBeNull());

  it('lead back, and a wrong inverse does not', () => {
    expect(leadsBack(change, before, after)).toBe(true);
    expect(leadsBack({ ...change, inverse: change.patch }, before, after)).toBe(false);
    expect(applyPatch(after, inverted('change-2', change).patch)).toEqual(before);
  });

  it('can be taken back unless a later one touched the same place', () => {
    expect(undoable(change, after)).toBe(true);
    expect(undoable(change, { ...after, name: 'b' })).toBe(true);
    expect(undoable(change, { ...after, scene: { x: 6, y: 2 } })).toBe(false);
    expect(undoable(change, { name: 'a' } as never)).toBe(false);
  });

  it('are at odds where they reach the same place, lists as a whole when something moves in them', () => {
    const replace = (path: string): Patch => [{ op: 'replace', path, value: 1 }];
    expect(overlap(replace('/ab'), replace('/a'))).toBe(false);
    expect(overlap(replace('/a/b'), replace('/a'))).toBe(true);
    expect(overlap([{ op: 'remove', path: '/list/0' }], replace('/list/3/x'))).toBe(true);
    expect(overlap(replace('/list/0'), replace('/list/3/x'))).toBe(false);
  });
});
