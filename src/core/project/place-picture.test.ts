import { demo } from '../../../demo/testing';
import type { KeptFile } from '@/core/pictures/kept-file';
import type { Documents } from '@/core/project/documents';
import { Scene } from '@/core/scene/scene';
import { fileOf, guessRoles, placeImported } from './place-picture';

const file = (n: number, more: Partial<KeptFile> = {}): KeptFile => ({
  hash: String(n).repeat(64).slice(0, 64),
  type: 'png',
  bytes: 1000,
  widthPx: 1600,
  heightPx: 1200,
  vector: false,
  transparent: false,
  profile: null,
  turned: false,
  pictures: 1,
  ...more,
});
const empty = (): Documents => ({
  project: { ...structuredClone(demo.project), pictures: [], scenes: [], launches: [], accepted: [] },
  scenes: {},
});

let made = 0;
const newId = () => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;

describe('files that are dropped into an empty project', () => {
  it('are all placed: the first large opaque one behind everything, what is see-through as a logo', () => {
    const documents = empty();
    const names = ['one.png', 'two.png', 'three.png', 'four.png'];
    const scenes = names.map((name, i) =>
      placeImported(documents, '', file(i + 1, { transparent: i === 2 }), name, newId),
    );
    expect(new Set(scenes)).toEqual(new Set(documents.project.scenes));
    const scene = documents.scenes[scenes[0]!]!;
    expect(() => Scene.parse(scene)).not.toThrow();
    expect(scene.layers.map((l) => [l.name, l.role])).toEqual([
      ['Ground', 'background'],
      ['one', 'background'],
      ['two', 'other'],
      ['three', 'logo'],
      ['four', 'other'],
    ]);
  });

  it('are guessed together by their pictures, one of which is the background', () => {
    const assigned = ['winter logo', 'harbour', 'harbour', 'deck'].map((picture, i) => ({
      picture,
      cut: 'any' as const,
      appearance: 'light' as const,
      density: 1,
      because: '',
      arrived: { path: picture, file: fileOf(file(i)) },
    }));
    expect([...guessRoles(assigned, false)]).toEqual([
      ['winter logo', 'logo'],
      ['harbour', 'background'],
      ['deck', 'other'],
    ]);
    expect(guessRoles(assigned, true).get('harbour')).toBe('other');
  });
});
