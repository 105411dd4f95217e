import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { changeBetween, inverted, sayStep, Step } from '../patch/change';
import type { Documents } from '../project/documents';
import { COMMANDS, stepOf, type CommandId } from './commands';
import { stepFromPaths } from './from-paths';

const called = (change: (documents: Documents) => void): string => {
  const after = structuredClone(demo);
  change(after);
  return stepFromPaths(changeBetween('change-1', demo, after)!, demo).name;
};

describe('what a step is called', () => {
  it('is said by its command', () => {
    expect(stepOf('layer.forward', 'Emblem')).toEqual({
      command: 'layer.forward',
      name: 'move Emblem forward',
    });
    expect(stepOf('picture.take-in', 2).name).toBe('take in 2 pictures');
    expect(stepOf('layer.hold', 'Emblem', null).name).toBe('take Emblem out of its panel');
    expect(stepOf('set.use', null).name).toBe('use all screens');
  });

  it('can be kept whatever things are called', () => {
    const ids = Object.keys(COMMANDS) as CommandId[];
    fc.assert(
      fc.property(fc.constantFrom(...ids), fc.string({ minLength: 1, maxLength: 400 }), (id, name) => {
        const make = stepOf as (id: CommandId, ...args: unknown[]) => Step;
        expect(() => Step.parse(make(id, name, name))).not.toThrow();
      }),
    );
  });

  it('is turned by taking it back, and turned back by doing it again', () => {
    const step = stepOf('layer.remove', 'Emblem');
    const change = { id: 'change-1', patch: [], inverse: [], step };
    const undone = inverted('change-2', change);
    expect(sayStep(undone.step!)).toBe('undo: delete Emblem');
    expect(inverted('change-3', undone).step).toEqual(step);
    expect(inverted('change-2', { ...change, step: undefined }).step).toBeUndefined();
  });
});

describe('a step that nobody has named', () => {
  const scene = demo.project.scenes[0]!;

  it('is called by what it changed', () => {
    const { name, layers } = demo.scenes[scene]!;
    expect(called((d) => (d.project.name = 'Other'))).toBe('change the name of the project');
    expect(called((d) => (d.scenes[scene]!.name = 'Other'))).toBe(`change the name of ${name}`);
    expect(called((d) => (d.scenes[scene]!.layers[1]!.visible = false))).toBe(`change ${layers[1]!.name}`);
    expect(called((d) => void d.scenes[scene]!.layers.pop())).toBe(`delete ${layers.at(-1)!.name}`);
    expect(called((d) => void d.project.limits.pop())).toBe('change limits');
  });

  it('says a new layer by its own name', () => {
    const before = demo.scenes[scene]!.layers.at(-1)!;
    expect(called((d) => void d.scenes[scene]!.layers.push({ ...before, id: 'new', name: 'Ferry' }))).toBe(
      'add Ferry',
    );
  });

  it('says of many things the first two, and how many more', () => {
    const said = called(({ project }) => {
      project.name = 'Other';
      project.limits.pop();
      project.densities = [1];
      project.iconSets = ['one'];
    });
    expect(said.split(', ')).toHaveLength(2);
    expect(said).toMatch(/and 2 more$/);
  });

  it('has a name whatever its documents are', () => {
    const patch = [{ op: 'remove' as const, path: '/scenes/gone/layers/3' }];
    expect(stepFromPaths({ patch }, {}).name).toBe('delete a layer');
    expect(stepFromPaths({ patch: [{ op: 'remove', path: '/elsewhere' }] }, {}).name).toBe(
      'change the project',
    );
  });
});
