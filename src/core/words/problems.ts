import { closest, distance } from 'fastest-levenshtein';
import { z } from 'zod';

const KINDS: Partial<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  record: 'an object',
  null: 'nothing',
};

/** What a value is, in words. */
function kindOf(value: unknown): string {
  if (value === null) return 'nothing';
  if (Array.isArray(value)) return 'a list';
  return KINDS[typeof value] ?? 'something else';
}

const listed = (values: readonly unknown[]) => values.map((v) => `“${String(v)}”`).join(', ');

const UNITS: Partial<Record<string, string>> = { string: ' characters', array: ' entries', set: ' entries' };
type Sized = z.core.$ZodRawIssue<z.core.$ZodIssueTooBig> | z.core.$ZodRawIssue<z.core.$ZodIssueTooSmall>;

/** Sizes have characters or entries; numbers have a size themselves. */
const limited = ({ origin }: Sized, bound: string, limit: unknown) =>
  UNITS[origin] ? `has ${bound} ${String(limit)}${UNITS[origin]}` : `is ${bound} ${String(limit)}`;

function typeWords({ expected, input }: z.core.$ZodRawIssue<z.core.$ZodIssueInvalidType>): string {
  const wanted = KINDS[expected] ?? expected;
  if (input === undefined) return `is missing; ${wanted} belongs there`;
  if (typeof input === 'number' && !Number.isFinite(input)) return `has to be ${wanted} that is finite`;
  if (expected === 'int' && typeof input === 'number') return `has to be ${wanted}, not ${input}`;
  return `has to be ${wanted}, not ${kindOf(input)}`;
}

/** Keys further apart than this share of their letters are not the same word. */
const MOST_APART = 0.5;

/** Names what nobody knows, and the nearest name that there is. */
function unknownWords({ keys, inst }: z.core.$ZodRawIssue<z.core.$ZodIssueUnrecognizedKeys>): string {
  const [first, ...more] = keys;
  const known = inst instanceof z.ZodObject ? Object.keys(inst.shape).filter((k) => k !== 'extensions') : [];
  const near = first === undefined || known.length === 0 ? undefined : closest(first, known);
  const isNear = near !== undefined && distance(first!, near) <= Math.ceil(near.length * MOST_APART);
  const all = listed(more.length > 3 ? [first, ...more.slice(0, 3), '…'] : keys);
  const belongs = isNear ? `; “${near}” does` : known.length > 0 ? `; what does: ${known.join(', ')}` : '';
  return `has something that does not belong there: ${all}${belongs}`;
}

/** What a schema finds wrong, as words that complete “this …”; `undefined` leaves it to the schema itself. */
function words(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return typeWords(issue);
    case 'too_big':
      return limited(issue, issue.inclusive === false ? 'less than' : 'at most', issue.maximum);
    case 'too_small':
      if (UNITS[issue.origin] && issue.minimum === 1) return 'may not be empty';
      return limited(issue, issue.inclusive === false ? 'more than' : 'at least', issue.minimum);
    case 'invalid_value':
      return `has to be one of ${listed(issue.values)}`;
    case 'invalid_union':
      return issue.input === undefined ? 'is missing' : 'is none of what can stand there';
    case 'unrecognized_keys':
      return unknownWords(issue);
    case 'invalid_key':
      return 'has a name that cannot be used';
    case 'invalid_format':
      return 'is not written as it has to be';
    case 'not_multiple_of':
      return `has to be a multiple of ${issue.divisor}`;
    default:
      return undefined;
  }
}

// One place for all schemas: what they find wrong is read by people who do not know the library that found it.
z.config({ customError: words });

/** Of several shapes that one in which nothing is wrong but names that it does not know: it is the one that is meant. */
export const misnamedShape = ({ errors }: z.core.$ZodIssueInvalidUnion): z.core.$ZodIssue[] | undefined =>
  errors.find((e) => e.length > 0 && e.every((i) => i.code === 'unrecognized_keys'));

/** Of what each of several shapes has to say, that of the shape which was nearest: it was followed furthest. */
function nearest(issue: z.core.$ZodIssue): z.core.$ZodIssue {
  if (issue.code !== 'invalid_union') return issue;
  const first = issue.errors.flatMap((e) => e[0] ?? []);
  const misnamed = misnamedShape(issue);
  const best = misnamed?.[0] ?? first.toSorted((a, b) => b.path.length - a.path.length)[0];
  if (!best || (best.path.length === 0 && !misnamed)) return issue;
  return nearest({ ...best, path: [...issue.path, ...best.path] });
}

const placed = (key: PropertyKey) => (typeof key === 'number' ? `no. ${key + 1}` : String(key));

/** The first thing that is wrong with a document: where, and what would do. */
export function describe({ issues }: z.ZodError): string {
  if (!issues[0]) return 'The document is not valid.';
  const { path, message, code } = nearest(issues[0]);
  if (path.length > 0) return `${path.map(placed).join(' › ')}: ${message}.`.replace(/\.\.$/, '.');
  // What the product itself says is a sentence already.
  return code === 'custom' ? message : `This ${message}.`;
}
