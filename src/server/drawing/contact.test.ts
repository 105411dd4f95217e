import { rgbaOf } from '@/core/pixels/raster';
import { PALETTE } from '@/render/palette';
import sharp from 'sharp';
import { PDFDocument } from 'pdf-lib';
import { demo, madeUpPixels } from '../../../demo/testing';
import { SCREENS } from '@/core/testing/scenes';
import { casesOf } from '@/core/screens/cases';
import { distinctCases } from '@/core/screens/likeness';
import { fontsFor } from '../fonts/fonts';
import { contactPdf, contactPng, type ContactSurfaces } from '@/render/contact';
import { contactCells, type ContactAsked } from '@/render/contact-cells';

/** One of them under another name as well, so that some cases are alike. */
const screens = [...SCREENS.slice(0, 6), { ...SCREENS[0]!, id: 'twin' }];
const fonts = fontsFor(demo);
const host: ContactSurfaces['host'] = {
  pixels: () => Promise.resolve(madeUpPixels()),
  ink: () => Promise.resolve(new Map()),
  fonts: () => Promise.resolve(fonts),
};
const RED = { r: 200, g: 30, b: 30 };
const picture = sharp({ create: { width: 64, height: 48, channels: 3, background: RED } })
  .png()
  .toBuffer();
const surfaces = (onStep: ContactSurfaces['onStep'] = () => {}): ContactSurfaces => ({
  host,
  fonts,
  bytes: () => picture,
  onStep,
});
const asked = (cases: ContactAsked['cases'] = 'all'): ContactAsked => ({
  documents: demo,
  sceneId: 'winter-splash',
  screens,
  cases,
});
const distinct = distinctCases(casesOf(screens, ['light', 'dark']));

const sheet = rgbaOf(PALETTE.light.sheet);
const paper = [sheet.r, sheet.g, sheet.b];

describe('a contact sheet', () => {
  it('has a cell for each case that can be told apart, with how many are like it', async () => {
    const { count, cells } = await contactCells(asked(), host, { width: 200, height: 220 });
    const all = [...cells()];
    expect(count).toBe(distinct.length);
    expect(all.map((c) => c.caseId)).toEqual(distinct.map((d) => d.shown.id));
    const several = distinct.findIndex((d) => d.alike.length > 0);
    expect(all[several]!.caption[0]).toContain(`and ${distinct[several]!.alike.length} like it`);
    for (const { drawing } of all) {
      expect(drawing.size.width).toBeLessThanOrEqual(200);
      expect(drawing.size.height).toBeLessThanOrEqual(220);
      expect(Math.max(drawing.size.width / 200, drawing.size.height / 220)).toBeGreaterThan(0.98);
    }
  });

  it('shows the cases that are named, in their order, or the few that show the extremes', async () => {
    const ids = [distinct[5]!.shown.id, distinct[1]!.shown.id];
    const named = await contactCells(asked(ids), host, { width: 200, height: 220 });
    expect([...named.cells()].map((c) => c.caseId)).toEqual(ids);
    const telling = await contactCells(asked('telling'), host, { width: 200, height: 220 });
    expect(telling.count).toBeGreaterThan(3);
    expect(telling.count).toBeLessThanOrEqual(24);
  });

  it('draws each case where its cell is, and says how far it is', async () => {
    const steps: [number, number][] = [];
    const png = await contactPng(
      asked(),
      surfaces((done, of) => void steps.push([done, of])),
    );
    expect(steps).toEqual(distinct.map((_, i) => [i + 1, distinct.length]));
    const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [
      ...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3),
    ];
    const columns = Math.max(8, Math.ceil(Math.sqrt(distinct.length)));
    expect(info.width).toBe(28 * 2 + columns * 218 - 18);
    // The background covers every screen, so that it is red low down in each cell, and paper between them.
    distinct.forEach((_, i) => {
      const [x, y] = [28 + (i % columns) * 218, 28 + Math.floor(i / columns) * 274];
      expect(at(x + 100, y + 120 + 40)).toEqual([RED.r, RED.g, RED.b]);
      if (i % columns < columns - 1) expect(at(x + 209, y + 100)).toEqual(paper);
    });
  });

  it('is a PDF of as many pages as it takes, the same to the byte whenever it is made', async () => {
    const ids = casesOf(SCREENS.slice(0, 9), ['light', 'dark']).map((c) => c.id);
    const many = { ...asked(ids), screens: SCREENS.slice(0, 9) };
    const pdf = await contactPdf(many, surfaces(), 'Winter splash');
    const read = await PDFDocument.load(pdf);
    expect(read.getTitle()).toBe('Winter splash');
    expect(read.getPageCount()).toBe(Math.ceil(ids.length / 10));
    expect((await contactPdf(many, surfaces(), 'Winter splash')).equals(pdf)).toBe(true);
  });

  it('refuses to draw nothing', async () => {
    await expect(contactPng(asked(['no-such-case']), surfaces())).rejects.toThrow(
      'There is no such case to draw.',
    );
  });
});
