import { stepOf } from '@/core/steps/commands';
import { announcementOf, sayFailing } from './announced';
import { edit, inLayer, redo, undo } from './edit';
import { openDemo } from './testing/opened';

const step = stepOf('project.change', 'change it');

function heard(work: (store: ReturnType<typeof openDemo>) => void): string[] {
  const store = openDemo();
  const said: string[] = [];
  store.subscribe((now, before) => {
    const next = announcementOf(now, before);
    if (next !== null) said.push(next);
  });
  work(store);
  return said;
}

const moveTo = (percent: number) => (store: ReturnType<typeof openDemo>) =>
  edit(
    store,
    step,
    inLayer(store, 'harbour', (l) => {
      if (l.kind === 'picture' && l.fit.align.kind === 'position') l.fit.align.x.percent = percent;
    }),
  );
const move = moveTo(40);
const move2 = moveTo(50);

describe('what is heard of an edit', () => {
  it('is how the rule reads that it changed, once', () => {
    const said = heard(move);
    expect(said).toEqual([expect.stringMatching(/^Done: change it\. Pinned 0 .* aligned 40 % across/)]);
  });

  it('says what is undone as it is then', () => {
    const said = heard((store) => {
      move(store);
      undo(store);
    });
    expect(said[1]).toMatch(/^Undone: change it\. .* aligned 62 % across/);
  });

  it('says what is done again', () => {
    const said = heard((store) => {
      move(store);
      move2(store);
      undo(store);
      undo(store);
      redo(store);
    });
    expect(said.at(-1)).toMatch(/^Redone: change it\. .* aligned 40 % across/);
  });

  it('ends with how many cases fail, once that is known', () => {
    expect(sayFailing({ fail: 307 }, { fail: 271 })).toBe('Now 271 fail.');
    expect(sayFailing({ fail: 3 }, { fail: 1 })).toBe('Now 1 fails.');
    expect(sayFailing({ fail: 3 }, { fail: 0 })).toBe('Now none fails.');
    expect(sayFailing({ fail: 3 }, { fail: 3 })).toBeNull();
  });

  it('is short where no layer, or more than one, was changed', () => {
    const renamed = heard((store) =>
      edit(store, step, ({ project }) => {
        project.name = 'Other';
      }),
    );
    expect(renamed).toEqual(['Done: change it.']);
  });

  it('is nothing where only something else is looked at', () => {
    expect(heard((store) => store.setState(({ view }) => ({ view: { ...view, lens: 'fits' } })))).toEqual([]);
  });
});
