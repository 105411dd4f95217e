import json from '../../../data/screens.json';
import { bottom, right, type Rect } from '../geometry/rect';
import type { Bars } from './bar-rules';
import { barsOf } from './bars';
import { readCatalogue } from './catalogue';
import { regionsOf } from './regions';
import { turn } from './turn';

const screens = readCatalogue(json);
const zero = { value: 0, unit: 'lu' as const };
const margin = { left: zero, right: zero, top: zero, bottom: zero };
const bars = (style: 'gesture' | 'buttons', title: number): Bars => ({
  status: { shown: true, colour: { light: '#ffffff', dark: '#000000' } },
  title: { shown: title > 0, height: title, symbols: 'light' },
  navigation: { shown: true, style },
});

const isOnTop = (bar: Rect, whole: Rect) => bar.width === whole.width && bar.y < whole.height / 2;

describe('bars', () => {
  it.each(['gesture', 'buttons'] as const)(
    'and the content area cover every screen once, with %s',
    (style) => {
      for (const screen of screens) {
        for (const rotation of [0, 90, 180, 270] as const) {
          const turned = turn(screen, rotation);
          const shown = barsOf(turned, bars(style, 40), 'light', []);
          const { content, screen: whole } = regionsOf(turned, bars(style, 40), margin);
          for (const { rect, signs } of shown) {
            const across = Math.min(right(rect), right(content)) - Math.max(rect.x, content.x);
            const down = Math.min(bottom(rect), bottom(content)) - Math.max(rect.y, content.y);
            expect(Math.min(across, down)).toBeLessThanOrEqual(1e-9);
            for (const { rect: s } of signs) {
              expect(s.x).toBeGreaterThanOrEqual(whole.x);
              expect(right(s)).toBeLessThanOrEqual(right(whole));
              expect(s.y).toBeGreaterThanOrEqual(rect.y - 1e-9);
              expect(bottom(s)).toBeLessThanOrEqual(bottom(rect) + 1e-9);
            }
          }
          const top = shown
            .filter((b) => b.kind !== 'navigation' || isOnTop(b.rect, whole))
            .reduce((sum, b) => sum + b.rect.height, 0);
          expect(content.y).toBeCloseTo(top, 9);
        }
      }
    },
  );

  it('take their colour and their signs’ by appearance, unless a scene says otherwise', () => {
    const phone = turn(
      screens.find((s) => s.id === 'phone-412x915-2-625x')!,
      0,
    );
    const [status, title, navigation] = barsOf(phone, bars('gesture', 40), 'dark', []);
    expect(status).toMatchObject({ kind: 'status', colour: '#000000', ink: '#ffffff' });
    expect(title).toMatchObject({ kind: 'title', colour: null, ink: '#ffffff' });
    expect(navigation).toMatchObject({ kind: 'navigation', colour: null });
    expect(barsOf(phone, bars('gesture', 40), 'light', [])[0]).toMatchObject({
      colour: '#ffffff',
      ink: '#1b1b1b',
    });
    expect(title!.rect.y).toBe(bottom(status!.rect));
  });
});
