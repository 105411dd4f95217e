import fc from 'fast-check';
import { z } from 'zod';
import { Documents } from '../project/documents';
import { describe as described } from './problems';

const said = (schema: z.ZodType, value: unknown): string => {
  const { error } = schema.safeParse(value);
  return error ? described(error) : 'nothing';
};
const Layer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('text'), size: z.number().positive().max(10) }),
  z.object({ kind: z.literal('box'), list: z.array(z.int()).max(2) }),
]);
const Scene = z.object({ name: z.string().min(1).max(5), layers: z.array(Layer) });

describe('what is wrong with a document', () => {
  it.each<[string, unknown, string]>([
    ['something missing', {}, 'name: is missing; text belongs there.'],
    ['another kind', { name: 7, layers: [] }, 'name: has to be text, not a number.'],
    ['nothing', null, 'This has to be an object, not nothing.'],
    ['a long text', { name: 'abcdefg', layers: [] }, 'name: has at most 5 characters.'],
    ['an empty text', { name: '', layers: [] }, 'name: may not be empty.'],
    [
      'a number out of range',
      { name: 'a', layers: [{ kind: 'text', size: 11 }] },
      'layers › no. 1 › size: is at most 10.',
    ],
    [
      'a number that is not positive',
      { name: 'a', layers: [{ kind: 'text', size: 0 }] },
      'layers › no. 1 › size: is more than 0.',
    ],
    [
      'a fraction',
      { name: 'a', layers: [{ kind: 'box', list: [1.5] }] },
      'layers › no. 1 › list › no. 1: has to be a whole number, not 1.5.',
    ],
    [
      'too many',
      { name: 'a', layers: [{ kind: 'box', list: [1, 2, 3] }] },
      'layers › no. 1 › list: has at most 2 entries.',
    ],
    [
      'an unknown kind',
      { name: 'a', layers: [{ kind: 'ball' }] },
      'layers › no. 1 › kind: is none of what can stand there.',
    ],
  ])('is said of %s', (_, value, words) => expect(said(Scene, value)).toBe(words));

  it('is said of the shape that comes nearest, where several would do', () => {
    const either = z.union([z.string(), z.object({ value: z.number(), unit: z.enum(['lu', 'px']) })]);
    expect(said(z.object({ size: either }), { size: { value: 1, unit: 'in' } })).toBe(
      'size › unit: has to be one of “lu”, “px”.',
    );
  });

  it('is said in sentences of the product as they are', () => {
    const schema = z.object({ a: z.number() }).refine(({ a }) => a > 1, 'A has to be larger.');
    expect(said(schema, { a: 0 })).toBe('A has to be larger.');
  });

  it('never sounds like the library that finds it', () =>
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), fc.jsonValue({ maxDepth: 3 }), (project, scene) => {
        expect(said(Documents, { project, scenes: { a: scene } })).not.toMatch(
          /invalid|expected|received|undefined|NaN|\[object|input/i,
        );
      }),
    ));
});
