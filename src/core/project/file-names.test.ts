import { demo } from '../../../demo/testing';
import { namesOfFiles } from './file-names';

const { project } = demo;
const [picture] = project.pictures;
const [rendition] = picture!.cuts[0]!.renditions;

describe('what files are to a project', () => {
  it('names the picture, the appearance and the density', () => {
    const density = `${rendition!.density}×`;
    expect(namesOfFiles(project, [rendition!.hash])).toEqual([
      `${picture!.name} (${rendition!.appearance}, ${density})`,
    ]);
  });

  it('names a font by its own name, and nothing that the project does not have', () => {
    const hash = 'f'.repeat(64);
    const withFont = { ...project, fonts: [{ hash, name: 'Harbour Sans', scripts: [] }] };
    expect(namesOfFiles(withFont, [hash, 'e'.repeat(64)])).toEqual(['the font Harbour Sans']);
  });
});
