import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';
import sharp from 'sharp';
import type { Size } from '@/core/geometry/rect';
import type { Outcome } from '@/core/measure/judge';
import { rgbaOf } from '@/core/pixels/raster';
import { contactCells, type ContactAsked, type ContactCell } from './contact-cells';
import { EM } from './em';
import { OUTCOME_COLOURS, PALETTE } from './palette';
import type { Fonts } from './fonts';
import type { Host } from './host';
import { paintPng, paintRaw, type Bytes } from './sharp';

/** px; in a PDF points */
const LOOK = {
  cell: { width: 200, height: 220 },
  gap: 18,
  margin: 28,
  /** of captions */
  size: 10.5,
  line: 14,
  lines: 2,
  columns: 8,
  /** of a page of a PDF, A3 in landscape */
  page: { width: 1190.55, height: 841.89 },
  paper: PALETTE.light.sheet,
  ink: PALETTE.light.ink,
  quiet: PALETTE.light['ink-2'],
} as const;

/** Signs that are told apart by their shape as well: a full triangle, a half one, a ring. In a square of 10. */
const SIGNS: Record<Outcome, string> = {
  fail: 'M5 0L10 9L0 9Z',
  warn: 'M5 0L10 9L0 9ZM5 2.4L5 7.8L8 7.8Z',
  clear: 'M5 0A4.5 4.5 0 1 0 5 9A4.5 4.5 0 1 0 5 0ZM5 1.5A3 3 0 1 1 5 7.5A3 3 0 1 1 5 1.5Z',
};

const step = {
  x: LOOK.cell.width + LOOK.gap,
  y: LOOK.cell.height + LOOK.line * LOOK.lines + 8 + LOOK.gap,
};

/** A line of text as outlines, no wider than a cell. */
function lineOf(text: string, fonts: Fonts, most: number): string {
  const face = 'sans-400' as const;
  const fits = (s: string) => fonts.width(s, face) * LOOK.size <= most;
  let short = text;
  while (short.length > 1 && !fits(short === text ? short : `${short.trimEnd()}…`))
    short = short.slice(0, -1);
  const said = short === text ? text : `${short.trimEnd()}…`;
  return fonts.outline(said, face, fonts.reading(said));
}

/** What is drawn as outlines: a path, where its origin lies, how large it is, and in which colour. */
interface Mark {
  path: string;
  x: number;
  y: number;
  scale: number;
  colour: string;
}

/** The caption of a cell, with its sign. @param at of the cell @param height of its picture */
function marksOf(cell: ContactCell, at: { x: number; y: number }, fonts: Fonts): Mark[] {
  const top = at.y + LOOK.cell.height + 8;
  const sign: Mark = {
    path: SIGNS[cell.outcome],
    x: at.x,
    y: top + 1,
    scale: 1,
    colour: OUTCOME_COLOURS[cell.outcome],
  };
  const lines = cell.caption.map((text, i): Mark => {
    const indent = i === 0 ? 15 : 0;
    return {
      path: lineOf(text, fonts, LOOK.cell.width - indent),
      x: at.x + indent,
      y: top + 10 + i * LOOK.line,
      scale: LOOK.size / EM,
      colour: i === 0 ? LOOK.ink : LOOK.quiet,
    };
  });
  return [sign, ...lines];
}

const placeOf = (i: number, columns: number) => ({
  x: LOOK.margin + (i % columns) * step.x,
  y: LOOK.margin + Math.floor(i / columns) * step.y,
});

/** A picture stands in the middle of its cell, on its bottom edge. */
const within = (at: { x: number; y: number }, { width, height }: Size) => ({
  x: Math.round(at.x + (LOOK.cell.width - width) / 2),
  y: Math.round(at.y + LOOK.cell.height - height),
});

/** Pixels laid over others, in place. Source: CSS Compositing 1 §5.1 (source over), on an opaque ground. */
function lay(
  onto: Buffer,
  width: number,
  picture: { data: Buffer; width: number; height: number },
  at: { x: number; y: number },
): void {
  for (let y = 0; y < picture.height; y++)
    for (let x = 0; x < picture.width; x++) {
      const from = (y * picture.width + x) * 4;
      const to = ((at.y + y) * width + at.x + x) * 3;
      const alpha = picture.data[from + 3]! / 255;
      for (let c = 0; c < 3; c++)
        onto[to + c] = Math.round(picture.data[from + c]! * alpha + onto[to + c]! * (1 - alpha));
    }
}

export interface ContactSurfaces {
  host: Host;
  fonts: Fonts;
  bytes: Bytes;
  /** hears how many are drawn, of how many; waits for what it says */
  onStep: (done: number, of: number) => void | Promise<void>;
}

/** The cells of a sheet, drawn one after another. */
async function eachCell(
  asked: ContactAsked,
  { host, onStep }: ContactSurfaces,
  draw: (cell: ContactCell, i: number) => Promise<void>,
  begin: (count: number) => void,
): Promise<void> {
  const { count, cells } = await contactCells(asked, host, LOOK.cell);
  if (count === 0) throw new Error('There is no such case to draw.');
  begin(count);
  let done = 0;
  for (const cell of cells()) {
    await draw(cell, done);
    await onStep(++done, count);
  }
}

/** Cases of a scene beside one another, each with what is worst on it, as one picture. */
export async function contactPng(asked: ContactAsked, surfaces: ContactSurfaces): Promise<Buffer> {
  const { fonts, bytes } = surfaces;
  let size: Size = { width: 0, height: 0 };
  let columns = 1;
  let canvas = Buffer.alloc(0);
  const marks: Mark[] = [];
  const begin = (count: number) => {
    columns = Math.min(count, Math.max(LOOK.columns, Math.ceil(Math.sqrt(count))));
    size = {
      width: LOOK.margin * 2 + columns * step.x - LOOK.gap,
      height: LOOK.margin * 2 + Math.ceil(count / columns) * step.y - LOOK.gap,
    };
    const { r, g, b } = rgbaOf(LOOK.paper);
    canvas = Buffer.alloc(size.width * size.height * 3, Buffer.from([r, g, b]));
  };
  await eachCell(
    asked,
    surfaces,
    async (cell, i) => {
      const at = placeOf(i, columns);
      const picture = await paintRaw(cell.drawing, bytes);
      lay(canvas, size.width, picture, within(at, picture));
      marks.push(...marksOf(cell, at, fonts));
    },
    begin,
  );
  const paths = marks.map(
    (m) =>
      `<path transform="translate(${m.x} ${m.y}) scale(${m.scale})" fill="${m.colour}" fill-rule="evenodd" d="${m.path}"/>`,
  );
  const captions = `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}">${paths.join('')}</svg>`;
  return sharp(canvas, { raw: { ...size, channels: 3 } })
    .composite([{ input: Buffer.from(captions) }])
    .png()
    .toBuffer();
}

/** A time that is the same whenever it is written. */
const NO_TIME = new Date(0);

const colourOf = (hex: string) => {
  const { r, g, b } = rgbaOf(hex);
  return rgb(r / 255, g / 255, b / 255);
};

/** The same as a PDF, of as many pages as it takes; captions are outlines, so that it needs no fonts. */
export async function contactPdf(
  asked: ContactAsked,
  surfaces: ContactSurfaces,
  title: string,
): Promise<Buffer> {
  const { fonts, bytes } = surfaces;
  const pdf = await PDFDocument.create({ updateMetadata: false });
  pdf.setTitle(title);
  pdf.setCreationDate(NO_TIME);
  pdf.setModificationDate(NO_TIME);
  const columns = Math.floor((LOOK.page.width - 2 * LOOK.margin + LOOK.gap) / step.x);
  const rows = Math.floor((LOOK.page.height - 2 * LOOK.margin + LOOK.gap) / step.y);
  let page: PDFPage | null = null;
  await eachCell(
    asked,
    surfaces,
    async (cell, i) => {
      const onPage = i % (columns * rows);
      if (onPage === 0) page = pdf.addPage([LOOK.page.width, LOOK.page.height]);
      const { height } = LOOK.page;
      const at = placeOf(onPage, columns);
      const picture = await pdf.embedPng(await paintPng(cell.drawing, bytes));
      const { x, y } = within(at, picture);
      page!.drawImage(picture, {
        x,
        y: height - y - picture.height,
        width: picture.width,
        height: picture.height,
      });
      for (const m of marksOf(cell, at, fonts))
        if (m.path)
          page!.drawSvgPath(m.path, { x: m.x, y: height - m.y, scale: m.scale, color: colourOf(m.colour) });
    },
    () => {},
  );
  return Buffer.from(await pdf.save());
}
