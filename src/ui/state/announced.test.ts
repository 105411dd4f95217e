import json from '../../../data/screens.json';
import { demoDocuments } from '../../../demo/documents';
import { readCatalogue } from '@/core/screens/catalogue';
import { announcementOf } from './announced';
import { edit, inLayer, undo } from './edit';
import { readView } from './view';
import { createWorkbench } from './workbench';

const open = () =>
  createWorkbench({
    documents: demoDocuments(() => [
      { hash: 'a'.repeat(64), widthPx: 400, heightPx: 300, density: 1, appearance: 'light', vector: false },
    ]),
    revision: 1,
    sceneId: 'winter-splash',
    catalogue: readCatalogue(json).slice(0, 2),
    view: readView({}),
    arrived: [],
  });

function heard(work: (store: ReturnType<typeof open>) => void): string[] {
  const store = open();
  const said: string[] = [];
  store.subscribe((now, before) => {
    const next = announcementOf(now, before);
    if (next !== null) said.push(next);
  });
  work(store);
  return said;
}

const move = (store: ReturnType<typeof open>) =>
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
