import { announcementOf } from './announced';
import { edit, inLayer, undo } from './edit';
import { openDemo } from './testing/opened';

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

const move = (store: ReturnType<typeof openDemo>) =>
  edit(
    store,
    inLayer(store, 'harbour', (l) => {
      if (l.kind === 'picture' && l.fit.align.kind === 'position') l.fit.align.x.percent = 40;
    }),
  );

describe('what is heard of an edit', () => {
  it('is how the rule reads that it changed, once', () => {
    const said = heard(move);
    expect(said).toEqual([expect.stringMatching(/^Changed: Harbour\. Pinned 0 .* aligned 40 % across/)]);
  });

  it('says what is undone as it is then', () => {
    const said = heard((store) => {
      move(store);
      undo(store);
    });
    expect(said[1]).toMatch(/^Undone: Harbour\. .* aligned 62 % across/);
  });

  it('is short where no layer, or more than one, was changed', () => {
    const renamed = heard((store) =>
      edit(store, ({ project }) => {
        project.name = 'Other';
      }),
    );
    expect(renamed).toEqual(['Changed.']);
  });

  it('is nothing where only something else is looked at', () => {
    expect(heard((store) => store.setState(({ view }) => ({ view: { ...view, lens: 'fits' } })))).toEqual([]);
  });
});
