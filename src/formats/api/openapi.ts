import { z } from 'zod';
import { Documents } from '@/core/project/documents';
import { Project } from '@/core/project/project';
import { PRODUCT_VERSION } from '@/core/review/version';
import { Scene } from '@/core/scene/scene';
import { Picture } from '@/core/pictures/picture';
import { KeptFile } from '@/core/pictures/kept-file';
import { Screen } from '@/core/screens/screen';
import { Job } from '../job';
import { OPERATIONS } from './all';
import type { Operation } from './operation';
import { ProblemJson, PROBLEM_TYPE } from './problem';

type Json = Readonly<Record<string, unknown>>;

const PLACE = '#/components/schemas/';
const ref = (name: string) => ({ $ref: PLACE + name });

/** What goes by a name of its own wherever it is met. */
const NAMED = { Documents, Project, Scene, Picture, Screen, KeptFile, Job, Problem: ProblemJson } as const;

/** A set of schemas under names, each said once. */
type Schemas = ReadonlyMap<z.ZodType, string>;

/**
 * Schemas as JSON Schema that refer to one another within one document; pieces that several share go by numbers.
 * @param io whether they are of what is read or of what is written @param shared how the names of shared pieces begin
 */
function componentsOf(schemas: Schemas, io: 'input' | 'output', shared: string): Record<string, Json> {
  const registry = z.registry<{ id: string }>();
  for (const [schema, id] of schemas) registry.add(schema, { id });
  const { schemas: made } = z.toJSONSchema(registry, {
    io,
    reused: 'ref',
    unrepresentable: 'any',
    uri: (id) => PLACE + id,
  });
  const text = JSON.stringify(made)
    .replaceAll(`${PLACE}__shared#/$defs/schema`, `${PLACE}${shared}`)
    .replaceAll('"#/$defs/schema', `"${PLACE}${shared}`);
  const { __shared, ...named } = JSON.parse(text) as Record<string, Json>;
  const pieces = Object.entries((__shared?.$defs ?? {}) as Record<string, Json>);
  const all = [
    ...Object.entries(named),
    ...pieces.map(([name, s]) => [shared + name.replace('schema', ''), s] as const),
  ];
  return Object.fromEntries(all.map(([name, { $schema: _, $id: __, ...schema }]) => [name, schema]));
}

const capital = (id: string) => id.charAt(0).toUpperCase() + id.slice(1);

/** The schemas of what is sent back and of what is sent, under their names. */
function schemasOf(operations: readonly Operation[]): { sent: Schemas; answered: Schemas } {
  const sent = new Map<z.ZodType, string>();
  const answered = new Map<z.ZodType, string>(
    Object.entries(NAMED).map(([name, schema]) => [schema as z.ZodType, name]),
  );
  for (const { id, body, query, answer } of operations) {
    if (body) sent.set(body, `${capital(id)}Body`);
    if (query) sent.set(query, `${capital(id)}Query`);
    if ('json' in answer && !answered.has(answer.json)) answered.set(answer.json, `${capital(id)}Answer`);
  }
  return { sent, answered };
}

const texts = { type: 'string' } as const;

/** What varies in the address, then what may be asked for, then what has to be said in headers. */
function parametersOf({ path, headers = {} }: Operation, query: Json | undefined): Json[] {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: texts,
  }));
  const properties = (query?.properties ?? {}) as Record<string, Json>;
  const required = (query?.required ?? []) as string[];
  const inQuery = Object.entries(properties).map(([name, { description, ...schema }]) => ({
    name,
    in: 'query',
    ...(required.includes(name) && { required: true }),
    ...(description !== undefined && { description }),
    schema,
  }));
  const inHead = Object.entries(headers).map(([name, description]) => ({
    name,
    in: 'header',
    required: true,
    description,
    schema: texts,
  }));
  return [...inPath, ...inQuery, ...inHead];
}

function bodyOf({ body, file }: Operation, sent: Schemas): Json {
  if (body)
    return {
      requestBody: { required: true, content: { 'application/json': { schema: ref(sent.get(body)!) } } },
    };
  if (file === undefined) return {};
  return { requestBody: { required: true, description: file, content: { 'application/octet-stream': {} } } };
}

function answerOf({ answer }: Operation, answered: Schemas): Json {
  const { about: description } = answer;
  if ('types' in answer)
    return { description, content: Object.fromEntries(answer.types.map((type) => [type, {}])) };
  if (!('json' in answer)) return { description };
  const headers = Object.entries(answer.headers ?? {}).map(
    ([name, is]) => [name, { description: is, schema: texts }] as const,
  );
  return {
    description,
    ...(headers.length > 0 && { headers: Object.fromEntries(headers) }),
    content: { 'application/json': { schema: ref(answered.get(answer.json)!) } },
  };
}

const problem = (description: string) => ({
  description,
  content: { [PROBLEM_TYPE]: { schema: ref('Problem') } },
});

function operationOf(
  operation: Operation,
  { sent, answered }: ReturnType<typeof schemasOf>,
  found: Json,
): Json {
  const { id, group, about, query, answer, refusals = {}, open } = operation;
  const asked = query && (found[sent.get(query)!] as Json);
  const refused = Object.entries(refusals).map(([status, why]) => [status, problem(why)] as const);
  return {
    operationId: id,
    tags: [group],
    summary: about,
    ...(open && { security: [] }),
    parameters: parametersOf(operation, asked),
    ...bodyOf(operation, sent),
    responses: {
      [answer.status]: answerOf(operation, answered),
      ...Object.fromEntries(refused),
      default: problem('What went wrong, and the way out'),
    },
  };
}

const ABOUT =
  'Everything that Coulee does over HTTP. Errors are application/problem+json (RFC 9457). Requests that change something have to name the address of the server as Origin, so that no page of another site can make them. Lengths are in lu, the unit that does not change with the density of a screen.';

/** What a server can be asked for, described. Source: OpenAPI 3.1.0, generated from the schemas that it checks with. */
export function openApi(): Json {
  const schemas = schemasOf(OPERATIONS);
  const sent = componentsOf(schemas.sent, 'input', 'Sent');
  const answered = componentsOf(schemas.answered, 'output', 'Shared');
  const paths: Record<string, Record<string, Json>> = {};
  for (const operation of OPERATIONS) {
    const at = (paths[operation.path] ??= {});
    at[operation.method.toLowerCase()] = operationOf(operation, schemas, sent);
  }
  const bodies = Object.entries(sent).filter(([name]) => !name.endsWith('Query'));
  return {
    openapi: '3.1.0',
    info: { title: 'Coulee', version: PRODUCT_VERSION, description: ABOUT },
    security: [{ session: [] }, {}],
    tags: [...new Set(OPERATIONS.map((o) => o.group))].map((name) => ({ name })),
    paths,
    components: {
      schemas: { ...answered, ...Object.fromEntries(bodies) },
      securitySchemes: {
        session: {
          type: 'apiKey',
          in: 'cookie',
          name: 'coulee-session',
          description: 'of a server with a passphrase; POST /api/v1/session begins one',
        },
      },
    },
  };
}
