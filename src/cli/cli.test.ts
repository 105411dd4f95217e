import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { newIcon } from '@/core/icons/new';
import type { Project } from '@/core/project/project';
import type { Scene } from '@/core/scene/scene';
import { buildLines } from '@/formats/build-line';
import { reviewCsv } from '@/formats/review-csv';
import { Sheet } from '@/formats/sheet/schema';
import type { Review } from '@/core/review/schema';
import { coulee, spawnedIn } from './testing';
import { narrowedDemo } from '@/server/testing/narrowed';
import { buildSource, createEmptyProject, deleteProject } from '@/server/services/projects';
import { ownStore } from '@/server/testing/store';

ownStore('the demo');
const folder = mkdtempSync(path.join(tmpdir(), 'coulee-cli-'));
const exported = path.join(folder, 'ferries');
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const spawned = spawnedIn(folder);
const stored = () => ['--store', process.env.STORE_DIR!, '--project', 'Larkmoor Ferries'];

beforeAll(async () => {
  narrowedDemo();
  expect(await coulee('export', ...stored(), '--out', exported)).toMatchObject({ code: 0, err: '' });
});

describe('coulee check', () => {
  it('says the same of a store and of a folder, to the byte, as text and as JSON', () => {
    for (const as of [[], ['--as', 'json']]) {
      const ofStore = spawned('check', ...stored(), ...as);
      expect(ofStore.err).toBe('');
      expect(ofStore.code).toBe(1);
      expect(spawned('check', 'ferries', ...as)).toEqual(ofStore);
    }
  });

  it('prints the counts that its JSON holds, and writes its findings as CSV', () => {
    const { out } = spawned('check', 'ferries');
    const file = path.join(folder, 'r.json');
    const written = spawned('check', 'ferries', '--as', 'json', '--out', 'r.json');
    expect(written).toMatchObject({ code: 1, out: '' });
    const review = JSON.parse(readFileSync(file, 'utf8')) as Review;
    for (const { name, counts, found } of [...review.scenes, ...review.launches]) {
      const line = out.split('\n').find((l) => l.startsWith(`${name}  `))!;
      const numbers = [...line.matchAll(/\d+/g)].map((m) => Number(m[0]));
      expect([name, ...numbers.slice(0, 5)]).toEqual([
        name,
        ...Object.values(counts),
        found.fail,
        found.warn,
      ]);
    }
    expect(spawned('check', 'ferries', '--as', 'csv').out).toBe(reviewCsv.write(review));
    // Neither colour nor anything that writes over a line, where nobody looks.
    expect(out).not.toMatch(/[\u001B\r]/);
  });

  it('ends with 0 where nothing is wrong, or nothing that --fail-on names', () => {
    const { id } = createEmptyProject('Nothing yet').documents.project;
    const empty = ['--store', process.env.STORE_DIR!, '--project', id];
    expect(spawned('check', ...empty)).toMatchObject({ code: 0 });
    // Nothing is wrong with a ground; files that no scene shows are not too small.
    const mended = path.join(folder, 'mended');
    cpSync(exported, mended, { recursive: true });
    const file = path.join(mended, 'project.json');
    const { launches: _, ...project } = JSON.parse(readFileSync(file, 'utf8')) as Project;
    const scenes = ['winter-splash'];
    const pictures = project.pictures.filter((p) => ['harbour', 'emblem'].includes(p.id));
    const { layers, ...scene } = JSON.parse(
      readFileSync(path.join(mended, 'scenes/winter-splash.json'), 'utf8'),
    ) as Scene;
    const own = { ...scene, layers: layers.filter((l) => l.kind === 'ground') };
    writeFileSync(path.join(mended, 'scenes/winter-splash.json'), JSON.stringify(own));
    writeFileSync(file, JSON.stringify({ ...project, scenes, pictures, accepted: [] }));
    // Files that are uneven warn.
    expect(spawned('check', 'mended')).toMatchObject({ code: 1 });
    expect(spawned('check', 'mended', '--fail-on', 'fail')).toMatchObject({ code: 0 });
  });

  it('ends with 2 and says the way out where it cannot check', async () => {
    const broken = (name: string, change: (dir: string) => void) => {
      const dir = path.join(folder, name);
      cpSync(exported, dir, { recursive: true });
      change(dir);
      return [dir];
    };
    const first = readdirSync(path.join(exported, 'pictures'))[0]!;
    const cases: [string[], string][] = [
      [[], 'Name a folder or an archive that coulee export has written, or a store'],
      [[exported, ...stored()], 'Name a folder'],
      [[path.join(folder, 'nowhere')], 'There is no project in'],
      [['--store', path.join(folder, 'nowhere')], 'There is no store in'],
      [['--store', process.env.STORE_DIR!], 'Say which project is meant'],
      [['--store', process.env.STORE_DIR!, '--project', 'no such'], 'There is no project “no such”'],
      [[exported, '--as', 'xml'], 'Allowed choices are csv, json, sarif, junit'],
      [[exported, '--fail-on', 'all'], 'Allowed choices are fail, warn'],
      [
        broken('lost', (d) => rmSync(path.join(d, 'pictures', first))),
        'is missing. Export the project again',
      ],
      [
        broken('other', (d) => writeFileSync(path.join(d, 'pictures', first), 'x')),
        'its bytes do not fit its hash',
      ],
      [
        broken('torn', (d) => writeFileSync(path.join(d, 'scenes/winter-splash.json'), '{')),
        'it is not JSON',
      ],
      [
        broken('gone', (d) => rmSync(path.join(d, 'scenes/winter-splash.json'))),
        'scenes/winter-splash.json: it is missing',
      ],
      [
        broken('wrong', (d) => writeFileSync(path.join(d, 'scenes/winter-splash.json'), '{"id":1}')),
        'damaged',
      ],
      [
        broken('newer', (d) => {
          const file = path.join(d, 'project.json');
          writeFileSync(file, readFileSync(file, 'utf8').replace(/"schema": \d+/, '"schema": 99'));
        }),
        'Update Coulee to open them',
      ],
    ];
    for (const [args, said] of cases) {
      const { code, err, out } = await coulee('check', ...args);
      expect([args, code, out]).toEqual([args, 2, '']);
      expect(err).toContain(said);
      expect(err).not.toMatch(/\n\s+at /);
    }
    expect(spawned('check', 'nowhere')).toMatchObject({ code: 2, out: '' });
    expect(await coulee('--help')).toMatchObject({ code: 0, err: '' });
    expect((await coulee('chekc')).err).toContain('Did you mean check?');
  });
});

describe('what the lens shows for the build', () => {
  const ferries = { id: 'larkmoor-ferries', name: 'Larkmoor Ferries' };
  /** A line as it is typed, with the program that it names beside the tests instead of an installed one. */
  const typed = (line: string) => {
    const program = `'${process.execPath}' '${path.resolve('bin/coulee.mjs')}'`;
    const command = line.replace('npm exec --offline -- coulee', program);
    return spawnSync('/bin/sh', ['-c', command], { cwd: folder, encoding: 'utf8', env: withoutStore });
  };
  const { STORE_DIR: _, ...withoutStore } = process.env;

  it('runs as it stands there, whatever folder the store is in', () => {
    const source = buildSource(ferries.id);
    const { exported: first, check } = buildLines(ferries, 'all', source);
    expect(first).toContain(`--store ${process.env.STORE_DIR}`);
    expect(first).toContain("--project 'Larkmoor Ferries'");
    const written = typed(first);
    expect([written.status, written.stderr]).toEqual([0, '']);
    const { status, stderr } = typed(check);
    expect([status, stderr]).toEqual([1, '']);
    expect(readFileSync(path.join(folder, 'larkmoor-ferries.xml'), 'utf8')).toMatch(/^<\?xml [^]*<failure /);
  });

  it('names the project by its id where another one is called the same', () => {
    const twin = createEmptyProject(ferries.name).documents.project;
    const { exported: line } = buildLines(twin, 'all', buildSource(twin.id));
    expect(line).toContain(`--project ${twin.id}`);
    expect(typed(line).status).toBe(0);
    deleteProject(twin.id);
    expect(buildSource(ferries.id).otherNames).not.toContain(ferries.name);
  });

  it('quotes what a shell would take apart', () => {
    const source = { store: "/tmp/it's here", otherNames: [] };
    const { exported: line } = buildLines({ id: 'x', name: "it's" }, 'all', source);
    expect(line).toContain(String.raw`--project 'it'\''s'`);
    expect(line).toContain(String.raw`--store '/tmp/it'\''s here'`);
  });
});

describe('a part of a project', () => {
  it('is judged by itself: one scene, or some screens', () => {
    const json = (...args: string[]) =>
      JSON.parse(spawned('check', 'ferries', '--as', 'json', ...args).out) as Review;
    const whole = JSON.parse(readFileSync(path.join(folder, 'r.json'), 'utf8')) as Review;
    const scene = json('--scene', 'winter splash', '--target', 'Phones');
    expect(scene.scenes).toHaveLength(1);
    expect(scene.launches).toEqual([]);
    expect(scene.screens).toBeLessThan(whole.screens);
    // Only phones have one of the ratios that this project allows.
    expect(scene.scenes[0]).toEqual(whole.scenes.find((s) => s.id === 'winter-splash'));
  });

  it('is named by the nearest name where it is not there', async () => {
    const { code, err } = await coulee('check', exported, '--scene', 'winter-slash');
    expect(code).toBe(2);
    expect(err).toContain('There is no scene “winter-slash” in this project. Did you mean “winter-splash”?');
    expect((await coulee('sheet', exported, '--target', 'phone', '--scene', 'winter-splash')).err).toContain(
      'Did you mean “phones”?',
    );
    expect((await coulee('sheet', exported)).err).toContain('Say which scene is meant: --scene NAME.');
    expect((await coulee('sheet', exported, '--scene', 'winter-splash', '--case', 'x')).err).toContain(
      'There is no case “x”. One is such as ',
    );
  });
});

describe('coulee sheet, page and screens', () => {
  const scene = ['--scene', 'winter-splash'];
  it('write what the sheet holds, as Markdown, HTML and JSON', async () => {
    const { out, code } = await coulee('sheet', exported, ...scene, '--as', 'json', '--target', 'phones');
    expect(code).toBe(0);
    const sheet = Sheet.parse(JSON.parse(out));
    expect(sheet.columns.map((c) => c.id)).toEqual(['smallest', 'most-used', 'largest']);
    const md = (await coulee('sheet', exported, ...scene, '--target', 'phones')).out;
    const html = (await coulee('sheet', exported, ...scene, '--target', 'phones', '--as', 'html')).out;
    for (const { name, sentence } of sheet.sections) {
      expect(md).toContain(`## ${name}`);
      expect(html).toContain(`<h2>${name}</h2>`);
      if (sentence) expect(html).toContain(sentence);
    }
  });

  it('write a scene as a page that needs nothing else', async () => {
    expect(await coulee('page', exported, ...scene, '--out', path.join(folder, 'p.html'))).toEqual({
      code: 0,
      out: '',
      err: '',
    });
    const html = readFileSync(path.join(folder, 'p.html'), 'utf8');
    expect(html).toMatch(/srcset="data:image\/[a-z+]+;base64,/);
    expect([...html.matchAll(/(?:src|srcset|href)="(?!data:)/g)]).toEqual([]);
    expect(html).not.toContain('<script');
  });

  it('put the files into a ZIP, or say why they cannot', async () => {
    const zip = path.join(folder, 'files.zip');
    const ofFolder = await coulee('files', exported, '--out', zip);
    expect(ofFolder).toMatchObject({ code: 0, err: '' });
    const bytes = readFileSync(zip);
    expect(bytes.toString('latin1')).toContain('emblem@4x.png');
    expect((await coulee('files', ...stored(), '--out', zip)).code).toBe(0);
    expect(readFileSync(zip).equals(bytes)).toBe(true);
    expect((await coulee('files', exported)).err).toContain('Say where the files are written to');
    expect((await coulee('files', exported, '--pattern', '{x}', '--out', zip)).err).toContain(
      'There is no {x}.',
    );
    expect(readdirSync(folder).filter((f) => f.endsWith('.part'))).toEqual([]);
  });

  it('encode the files anew on their way out, within a budget', async () => {
    const to = path.join(folder, 'encoded');
    const made = await coulee('files', exported, '--out', `${to}/`, '--as', 'webp', '--budget', '400');
    expect(made).toMatchObject({ code: 0, err: '' });
    expect(made.out).toMatch(
      /as WebP, [\d.]+ kB, at quality \d+\. Least like what it was: .+, structural similarity 0\.\d{3}\./,
    );
    const names = readdirSync(to, { recursive: true }).map(String);
    expect(names).toContain('emblem@4x.webp');
    const weight = (endings: RegExp) =>
      names.filter((n) => endings.test(n)).reduce((sum, n) => sum + statSync(path.join(to, n)).size, 0);
    expect(weight(/\.webp$/)).toBeLessThanOrEqual(400_000);
    expect(names.filter((n) => !/\.(webp|svg)$/.test(n))).toEqual([]);
    const wrong = async (...options: string[]) =>
      (await coulee('files', exported, '--out', `${to}/`, ...options)).err;
    expect(await wrong('--as', 'webp', '--budget', '1')).toContain('are allowed. Allow more');
    expect(await wrong('--as', 'jpeg')).toContain('is see-through in parts, which a JPEG cannot be');
    expect(await wrong('--budget', '400')).toContain('Say as what the files are encoded');
    expect(await wrong('--as', 'webp', '--quality', '101')).toContain('“101” is no quality');
    expect(await wrong('--as', 'webp', '--budget', '-3')).toContain('“-3” is no number of kB');
    expect(await wrong('--as', 'webp', '--quality', '5', '--budget', '9')).toContain('exclude each other');
  });

  it('draw all files of an icon, once, and say what is none', async () => {
    const own = path.join(folder, 'with-icon');
    cpSync(exported, own, { recursive: true });
    const file = path.join(own, 'project.json');
    const project = JSON.parse(readFileSync(file, 'utf8')) as Project;
    const icon = newIcon('Icon', project.pictures[0]!, () => crypto.randomUUID());
    project.scenes.push(icon.id);
    project.iconSets = ['phones', 'status-bar'];
    writeFileSync(file, JSON.stringify(project));
    writeFileSync(path.join(own, 'scenes', `${icon.id}.json`), JSON.stringify(icon));
    const to = path.join(folder, 'icons');
    const made = await coulee('icons', own, '--out', `${to}/`);
    expect(made).toMatchObject({ code: 0, err: '' });
    expect(made.out).toMatch(/^\d+ files written to .+, 0 unchanged\.\n\d+ files of the icon\.\n$/);
    expect(await sharp(path.join(to, 'phones', 'home-screen-60@3x.png')).metadata()).toMatchObject({
      width: 180,
      height: 180,
      hasAlpha: false,
    });
    expect((await coulee('icons', own, '--out', to)).out).toContain('0 files written');
    const none = await coulee('icons', own, '--scene', 'Winter splash', '--out', to);
    expect(none.err).toContain('“Winter splash” is no icon.');
    expect((await coulee('icons', own)).err).toContain('Say where the files are written to');
  });

  it('put the files into a folder, once, and say what is wrong with one', async () => {
    const to = path.join(folder, 'taken');
    const first = await coulee('files', exported, '--out', `${to}/`);
    expect(first).toMatchObject({ code: 0, err: '' });
    const [, count] = /^(\d+) files written/.exec(first.out)!;
    expect((await coulee('files', exported, '--out', to)).out).toBe(
      `0 files written to ${to}, ${count} unchanged.\n`,
    );
    expect(await coulee('files', exported, '--check', to)).toMatchObject({
      code: 0,
      out: `${to} holds the ${count} files of the project, and nothing else.\n`,
    });

    rmSync(path.join(to, 'emblem@4x.png'));
    await sharp(path.join(to, 'emblem@2x.png')).resize(40).png().toFile(path.join(to, 'emblem@3x.new'));
    copyFileSync(path.join(to, 'emblem@3x.new'), path.join(to, 'emblem@2x.png'));
    writeFileSync(path.join(to, 'notes.txt'), 'Ask for the winter sky.');
    const wrong = await coulee('files', exported, '--check', to);
    expect(wrong.code).toBe(1);
    expect(wrong.out).toContain(
      '▲ emblem@4x.png\n    Emblem, 4× is not there. Write it again from the project.',
    );
    expect(wrong.out).toMatch(/▲ emblem@2x\.png\n {4}It has 40 × 40 px and should have/);
    expect(wrong.out).toContain('▲ notes.txt\n    No scene of the project shows it.');
    expect(wrong.out).toContain(`4 faults in ${to}`);
    const heavy = await coulee('files', exported, '--check', to, '--heaviest', '1');
    expect(heavy.out).toContain('1 kB are allowed');
    expect((await coulee('files', exported, '--check', to, '--heaviest', 'x')).err).toContain(
      'is no number of kB',
    );
    expect((await coulee('files', exported, '--check', path.join(folder, 'none'))).err).toContain(
      'There is no folder',
    );
  });

  it('draw cases at the px of their screens, and a contact sheet of them', async () => {
    const cases = ['phone-393x852-3x-pill.0.light', 'phone-393x852-3x-pill.90.dark'];
    const to = path.join(folder, 'drawn');
    const drawn = await coulee('render', exported, ...scene, '--case', ...cases, '--out', to);
    expect(drawn).toMatchObject({ code: 0, err: '' });
    const sizes = await Promise.all(
      cases.map(async (id) => {
        const { width, height } = await sharp(path.join(to, `${id}.png`)).metadata();
        return [width, height];
      }),
    );
    expect(sizes).toEqual([
      [1179, 2556],
      [2556, 1179],
    ]);
    const sheet = path.join(folder, 'cases.png');
    expect(
      (await coulee('render', exported, ...scene, '--sheet', '--case', ...cases, '--out', sheet)).code,
    ).toBe(0);
    const { width } = await sharp(sheet).metadata();
    expect(width).toBe(2 * 28 + 2 * 200 + 18);
    const pdf = path.join(folder, 'cases.pdf');
    const written = async () => {
      await coulee('render', exported, ...scene, '--sheet', '--case', ...cases, '--out', pdf);
      return readFileSync(pdf);
    };
    const first = await written();
    expect(first.toString('latin1')).toMatch(/^%PDF-1\.7/);
    expect((await written()).equals(first)).toBe(true);
    expect((await coulee('render', exported, ...scene, '--sheet', '--out', 'x.jpg')).err).toContain(
      'A contact sheet is a .png or a .pdf',
    );
    expect((await coulee('render', exported, ...scene)).err).toContain('Say where it is written to');
    expect((await coulee('render', exported, ...scene, '--case', 'x', '--out', to)).err).toContain(
      'There is no case “x”',
    );
  });

  it('list the screens', async () => {
    const { out } = await coulee('screens', exported, '--target', 'television');
    expect(out.split('\n')[0]).toMatch(/^screen +kind +lu +density +family$/);
    expect(out).toContain('tv-960x540-2x');
    expect(out).not.toContain('phone-');
    const list = JSON.parse((await coulee('screens', exported, '--as', 'json')).out) as unknown[];
    expect(list).toHaveLength(93);
  });
});

describe('coulee export', () => {
  it('replaces an earlier export, and leaves other folders alone', async () => {
    const stale = path.join(exported, 'scenes', 'old.json');
    copyFileSync(path.join(exported, 'scenes', 'winter-splash.json'), stale);
    expect((await coulee('export', ...stored(), '--out', exported)).code).toBe(0);
    expect(readdirSync(path.join(exported, 'scenes'))).not.toContain('old.json');
    const other = path.join(folder, 'other-things');
    cpSync(path.join(exported, 'scenes'), other, { recursive: true });
    const refused = await coulee('export', ...stored(), '--out', other);
    expect(refused).toMatchObject({ code: 2 });
    expect(refused.err).toContain('holds something else');
    expect(readdirSync(other)).toContain('winter-splash.json');
  });
});
