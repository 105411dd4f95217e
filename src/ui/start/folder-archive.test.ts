import { unzipSync } from 'fflate';
import { archiveOf, filesInEntry, filesInList } from './folder-archive';

const file = (name: string, path = '') =>
  Object.assign(new File([`bytes of ${name}`], name), { webkitRelativePath: path });

/** A dropped folder: its list comes in parts of two, as browsers may give it. */
function folder(name: string, inside: Record<string, unknown>): FileSystemDirectoryEntry {
  const list = Object.entries(inside).map(([child, is]) =>
    is instanceof File
      ? { name: child, isFile: true, isDirectory: false, file: (give: (f: File) => void) => give(is) }
      : folder(child, is as Record<string, unknown>),
  );
  const createReader = () => {
    const left = [...list];
    return { readEntries: (give: (part: unknown[]) => void) => give(left.splice(0, 2)) };
  };
  return { name, isFile: false, isDirectory: true, createReader } as unknown as FileSystemDirectoryEntry;
}

const PROJECT = ['coulee.json', 'files.json', 'project.json'];

describe('a folder as an archive', () => {
  it('holds the files of the project, and nothing that lies beside them', async () => {
    const dropped = folder('ferries', {
      ...Object.fromEntries([...PROJECT, 'notes.txt'].map((n) => [n, file(n)])),
      scenes: { 'one.json': file('one.json'), old: { 'two.json': file('two.json') } },
      pictures: { 'a.png': file('a.png'), 'b.png': file('b.png'), 'c.png': file('c.png') },
      history: { objects: { a: file('a') } },
    });
    const archive = await archiveOf('ferries', await filesInEntry(dropped));
    expect(archive.name).toBe('ferries.zip');
    const parts = unzipSync(new Uint8Array(await archive.arrayBuffer()));
    const pictures = ['a', 'b', 'c'].map((n) => `pictures/${n}.png`);
    expect(Object.keys(parts)).toEqual(
      [...PROJECT.slice(0, 2), ...pictures, PROJECT[2], 'scenes/one.json'].toSorted(),
    );
    expect(new TextDecoder().decode(parts['pictures/a.png'])).toBe('bytes of a.png');
  });

  it('is the same of one that was chosen', async () => {
    const paths = [...PROJECT, 'scenes/one.json', 'scenes/old/two.json', '.history/a', 'notes.txt'];
    const chosen = filesInList(paths.map((p) => file(p.split('/').at(-1)!, `ferries/${p}`)));
    const parts = unzipSync(new Uint8Array(await (await archiveOf('ferries', chosen)).arrayBuffer()));
    expect(Object.keys(parts)).toEqual([...PROJECT, 'scenes/one.json']);
  });

  it('is none where there is no project in it, with the way out', async () => {
    await expect(archiveOf('photos', new Map([['a.png', file('a.png')]]))).rejects.toThrow(
      /no project in the folder photos.*coulee export/,
    );
  });
});
