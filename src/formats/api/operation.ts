import type { z } from 'zod';

/** What is sent back when all goes well: JSON of a schema, bytes of one of several types, or nothing. */
export type Answer =
  | { status: 200 | 201 | 202; json: z.ZodType; about: string; headers?: Readonly<Record<string, string>> }
  | { status: 200; types: readonly string[]; about: string }
  | { status: 204; about: string };

/** One thing that a server can be asked for, said once: for the server, for the page, and for its description. */
export interface Operation {
  id: string;
  group: string;
  method: 'GET' | 'POST' | 'PATCH' | 'DELETE';
  /** with names in braces for what varies */
  path: `/api/v1/${string}`;
  about: string;
  query?: z.ZodObject;
  /** by their names in lower case */
  headers?: Readonly<Record<string, string>>;
  /** sent as JSON */
  body?: z.ZodType;
  /** sent as the bytes of a file: what file that is */
  file?: string;
  answer: Answer;
  /** besides those that any may have: with what it can be refused, by its status */
  refusals?: Readonly<Record<number, string>>;
  /** whether it is answered without the passphrase */
  open?: boolean;
}

type NamesIn<P extends string> = P extends `${string}{${infer N}}${infer R}` ? N | NamesIn<R> : never;

/** What varies in the address of an operation. */
export type ParamsOf<O extends Operation> = Record<NamesIn<O['path']>, string>;

/** What is sent as JSON; what is left out is as usual. */
export type BodyOf<O extends Operation> = O extends { body: infer B extends z.ZodType }
  ? z.input<B>
  : undefined;

/** The same as it is read. */
export type ReadBodyOf<O extends Operation> = O extends { body: infer B extends z.ZodType }
  ? z.infer<B>
  : undefined;

export type QueryOf<O extends Operation> = O extends { query: infer Q extends z.ZodType }
  ? z.infer<Q>
  : object;

/** What is sent back as JSON; nothing of an operation without. */
export type AnswerOf<O extends Operation> = O['answer'] extends { json: infer A extends z.ZodType }
  ? z.infer<A>
  : undefined;

/** Where an operation is asked for. @param query what of it is undefined is left out */
export function addressOf<O extends Operation>(
  { path }: O,
  params: ParamsOf<O>,
  query: Readonly<Record<string, string | number | undefined>> = {},
): string {
  const values: Readonly<Record<string, string>> = params;
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(values[name]!));
  const said = Object.entries(query).flatMap(([k, v]) => (v === undefined ? [] : [[k, String(v)]]));
  return said.length > 0 ? `${filled}?${new URLSearchParams(said).toString()}` : filled;
}
