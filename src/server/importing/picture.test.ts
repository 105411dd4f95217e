import { crc32 } from 'node:zlib';
import sharp from 'sharp';
import { getDb } from '../db/client';
import { blobs } from '../db/schema';
import { Problem } from '../problem';
import { preview } from '../services/pictures';
import { ownStore } from '../testing/store';
import { keepFile } from './picture';
import { sniff } from '../pictures/sniff';
import { svgProblem } from '../pictures/svg';

const store = ownStore();
const plain = (width: number, height: number, alpha = 1) =>
  sharp({ create: { width, height, channels: 4, background: { r: 200, g: 80, b: 20, alpha } } });
const svg = (body: string, attributes = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20" ${attributes}>${body}</svg>`;

/** A PNG whose header claims a size that its data does not have. */
function claimedPng(width: number, height: number): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, crc] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    crc.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, crc]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  const magic = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([
    magic,
    chunk('IHDR', header),
    chunk('IDAT', Buffer.alloc(20)),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

describe('a file that is taken', () => {
  it.each(['png', 'jpeg', 'webp', 'avif'] as const)('may be %s, whatever its name says', async (format) => {
    const bytes = await plain(120, 60).toFormat(format).toBuffer();
    expect(await sniff(bytes)).toBe(format);
    expect(await keepFile(bytes, 'picture.txt')).toMatchObject({ type: format, widthPx: 120, heightPx: 60 });
  });

  it('may be an SVG, which counts as a vector', async () => {
    const bytes = Buffer.from(
      `<?xml version="1.0"?><!-- a drawing -->${svg('<rect width="9" height="9"/>')}`,
    );
    expect(await keepFile(bytes, 'a.svg')).toMatchObject({
      vector: true,
      widthPx: 40,
      heightPx: 20,
      transparent: true,
    });
  });

  it('is stored once, however often it comes', async () => {
    const bytes = await plain(77, 33).png().toBuffer();
    const first = await keepFile(bytes, 'a.png');
    const files = store.files().length;
    expect(await keepFile(bytes, 'b.png')).toEqual(first);
    expect(store.files()).toHaveLength(files);
  });

  it('is turned as its EXIF orientation says', async () => {
    const bytes = await plain(90, 40).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    const kept = await keepFile(bytes, 'turned.jpg');
    expect(kept).toMatchObject({ widthPx: 40, heightPx: 90 });
    expect(await sharp(await preview(kept.hash, 40)).metadata()).toMatchObject({ width: 40, height: 90 });
  });

  it('says whether some of it is see-through, not whether it could be', async () => {
    expect(await keepFile(await plain(50, 50).png().toBuffer(), 'a')).toMatchObject({ transparent: false });
    expect(await keepFile(await plain(50, 50, 0.5).png().toBuffer(), 'a')).toMatchObject({
      transparent: true,
    });
  });

  it('has previews of all levels up to its own width', async () => {
    const kept = await keepFile(await plain(700, 20).png().toBuffer(), 'a.png');
    for (const width of [64, 128, 256, 512, 700]) {
      expect((await sharp(await preview(kept.hash, width)).metadata()).width).toBe(width);
    }
    await expect(preview(kept.hash, 333)).rejects.toThrow('not here');
  });
});

describe('a file that is refused leaves no row and no bytes, and says what to do', () => {
  const jpeg = () =>
    sharp({ create: { width: 400, height: 300, channels: 3, background: '#468' } })
      .jpeg()
      .toBuffer();
  it.each<[string, () => Buffer | Promise<Buffer>, number, RegExp]>([
    ['no picture', () => Buffer.from('just some text, long enough'), 415, /“bad”.*Use PNG, JPEG/],
    ['another format', () => Buffer.from('GIF89a-and-so-on-and-on'), 415, /cannot|not a picture/],
    ['zero bytes', () => Buffer.alloc(0), 422, /0 bytes/],
    ['cut short', async () => (await jpeg()).subarray(0, 900), 422, /damaged or cut short/],
    ['a header alone', async () => (await plain(9, 9).png().toBuffer()).subarray(0, 30), 422, /damaged/],
    [
      '65 MB',
      () => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(65 * 1024 * 1024)]),
      413,
      /64 MB/,
    ],
    ['200 megapixels', () => claimedPng(20_000, 10_000), 422, /200 megapixels; the limit is 100/],
    ['an SVG with a script', () => Buffer.from(svg('<script>1</script>')), 422, /element script/],
    ['an SVG that is not well formed', () => Buffer.from(svg('<g>')), 422, /well-formed/],
  ])('%s', async (_, bytes, status, message) => {
    const [rows, files] = [getDb().select().from(blobs).all().length, store.files().length];
    const refused = keepFile(await bytes(), 'bad');
    await expect(refused).rejects.toThrow(Problem);
    await expect(refused).rejects.toMatchObject({ status, message: expect.stringMatching(message) });
    expect(getDb().select().from(blobs).all()).toHaveLength(rows);
    expect(store.files()).toHaveLength(files);
  });
});

describe('SVG', () => {
  it.each([
    ['<a href="https://example.test/"><rect width="1" height="1"/></a>', ''],
    ['<use href="#a"/><rect id="a" fill="url(#g)"/>', ''],
    ['<image href="data:image/png;base64,AAAA"/>', ''],
    ['<style>.a{fill:#fff}</style>', ''],
    ['<style>@font-face{font-family:"a(b"} .a{font-family:"a(b";fill:url("#g")}</style>', ''],
    [
      '<rect width="1" height="1" transform="rotate(45) scale(2)"><animate attributeName="x" to="3"/></rect>',
      '',
    ],
    ['<a href=" #part"><rect width="1" height="1"/></a>', ''],
    ['<text>url(https://example.test) is only written</text>', ''],
  ])('may hold %s', (body, attributes) => expect(svgProblem(svg(body, attributes))).toBeNull());

  it.each([
    ['<image href="https://example.test/a.png"/>'],
    ['<image xmlns:xlink="http://www.w3.org/1999/xlink" xlink:href="file:///etc/passwd"/>'],
    ['<use href="other.svg#a"/>'],
    ['<rect onclick="x()"/>'],
    ['<foreignObject/>'],
    ['<style>@import url(x.css)</style>'],
    ['<style><![CDATA[ rect { fill: url(https://example.test/p) } ]]></style>'],
    ['<rect style="fill: url(\'https://example.test/p\')"/>'],
    ['<svg:script xmlns:svg="http://www.w3.org/2000/svg"/>'],
    ['<?xml-stylesheet href="a.css"?>'],
    ['<a href="javascript:alert(1)"><rect/></a>'],
    ['<a href=" java&#10;script:alert(1)"><rect/></a>'],
    ['<a xmlns:xlink="http://www.w3.org/1999/xlink" xlink:href="data:text/html,x"><rect/></a>'],
    ['<a href="#a"><set attributeName="href" to="javascript:alert(1)"/></a>'],
    ['<a href="#a"><animate attributeName="xlink:href" values="#a;javascript:alert(1)"/></a>'],
    ['<rect><set attributeName="fill" to="url(https://example.test/p)"/></rect>'],
    ['<style>@im<!-- -->port "https://example.test/a.css";</style>'],
    ['<style>@im<![CDATA[port "https://example.test/a.css";]]></style>'],
    ['<style>@\\69mport "https://example.test/a.css";</style>'],
    ['<style>@import/**/"https://example.test/a.css";</style>'],
    ['<style>@im<tspan/>port "https://example.test/a.css";</style>'],
    ['<style>rect{fill:u\\72l(https://example.test/p)}</style>'],
    ['<style>rect{fill:url(/**/https://example.test/p)}</style>'],
    ['<style>rect{fill:url("https://example.test/p")}</style>'],
    ['<style>rect{mask:image-set("https://example.test/p" 1x)}</style>'],
    ['<style>rect{mask:-webkit-image-set("https://example.test/p" 1x)}</style>'],
    ['<style>rect{--x:url(https://example.test/p);fill:var(--x)}</style>'],
    ['<style>rect{fill:url(https://example.test/p</style>'],
    ['<rect fill="u\\72l(https://example.test/p)"/>'],
    ['<g xml:base="https://example.test/"><use href="#a"/></g>'],
    ['<h:meta xmlns:h="http://www.w3.org/1999/xhtml" http-equiv="refresh" content="0"/>'],
  ])('may not hold %s', (body) => expect(svgProblem(svg(body))).not.toBeNull());

  it('may not bring entities of its own', () => {
    expect(svgProblem(`<!DOCTYPE svg [<!ENTITY a "b">]>${svg('')}`)).toMatch(/entities/);
  });
});

describe('a file of an odd shape', () => {
  it('that is taller than a preview can be has smaller ones', async () => {
    const file = await keepFile(await plain(750, 20_000).png().toBuffer(), 'tall.png');
    expect(file).toMatchObject({ widthPx: 750, heightPx: 20_000 });
    const { height } = await sharp(await preview(file.hash, 512)).metadata();
    expect(height).toBe(13_653);
    await expect(preview(file.hash, 750)).rejects.toMatchObject({ status: 404 });
  });

  it('that is too narrow for any preview is refused with that reason', async () => {
    const bytes = await plain(1, 20_000).png().toBuffer();
    await expect(keepFile(bytes, 'line.png')).rejects.toThrow(
      '“line.png” has 1 × 20000 px, which is too narrow',
    );
  });

  it('that moves is taken as its first picture, and says how many it has', async () => {
    const frames = await Promise.all(
      ['#f00', '#0f0', '#00f'].map((background) =>
        sharp({ create: { width: 20, height: 10, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    const moving = await sharp(frames, { join: { animated: true } })
      .webp({ loop: 0, delay: [50, 50, 50] })
      .toBuffer();
    expect(await keepFile(moving, 'moving.webp')).toMatchObject({ widthPx: 20, heightPx: 10, pictures: 3 });
    expect(await keepFile(await plain(21, 10).webp().toBuffer(), 'still.webp')).toMatchObject({
      pictures: 1,
    });
  });
});
