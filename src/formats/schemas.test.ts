import { Ajv2020 } from 'ajv/dist/2020';
import formats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import { demo } from '../../demo/testing';
import { documentFiles } from './folder';
import { placesByHash } from './places';
import { SCHEMAS } from './schemas';

const ajv = new Ajv2020({ strict: false });
formats.default(ajv);
const valid = (name: string, what: unknown) => ajv.validate(SCHEMAS.get(name)!(), what);

describe('the published schemas', () => {
  it.each([...SCHEMAS.keys()])('%s is as it stands in the docs', (name) => {
    expect(JSON.parse(readFileSync(`docs/schemas/${name}.schema.json`, 'utf8'))).toEqual(
      SCHEMAS.get(name)!(),
    );
    expect(ajv.validateSchema(SCHEMAS.get(name)!())).toBe(true);
  });

  it('take the documents as they lie in a folder', () => {
    const files = documentFiles(demo, 3, placesByHash(demo));
    const json = (file: string) => JSON.parse(files.get(file)!) as Record<string, unknown>;
    expect([valid('project', json('project.json')), ajv.errors]).toEqual([true, null]);
    for (const id of demo.project.scenes)
      expect([id, valid('scene', json(`scenes/${id}.json`)), ajv.errors]).toEqual([id, true, null]);
  });

  it('refuse what the product refuses', () => {
    const [id] = demo.project.scenes;
    const scene = demo.scenes[id!]!;
    expect(valid('project', { ...demo.project, schema: 99 })).toBe(false);
    expect(valid('project', { ...demo.project, name: '' })).toBe(false);
    expect(valid('scene', { ...scene, role: 'cake' })).toBe(false);
    expect(valid('scene', { ...scene, layers: [{ ...scene.layers[0], kind: 'cake' }] })).toBe(false);
  });
});
