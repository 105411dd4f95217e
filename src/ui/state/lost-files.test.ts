import { demo } from '../../../demo/testing';
import { namesOfLost } from './lost-files';

const { project } = demo;
const [picture] = project.pictures;
const [rendition] = picture!.cuts[0]!.renditions;

describe('what is said of files that the store has lost', () => {
  it('names the picture, the appearance and the density', () => {
    const density = `${rendition!.density}×`;
    expect(namesOfLost(project, [rendition!.hash])).toEqual([
      `${picture!.name} (${rendition!.appearance}, ${density})`,
    ]);
  });

  it('names a font by its own name, and nothing that the project does not have', () => {
    const hash = 'f'.repeat(64);
    const withFont = { ...project, fonts: [{ hash, name: 'Harbour Sans', scripts: [] }] };
    expect(namesOfLost(withFont, [hash, 'e'.repeat(64)])).toEqual(['the font Harbour Sans']);
  });
});
