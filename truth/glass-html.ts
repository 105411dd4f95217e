import type { Scene } from '../src/core/scene/scene';
import type { HeldScreen } from './screens';

/** What hides parts of the screen, each in a colour of its own, which are added up where they cross: cutouts red, what lies
 * outside the corners green, bars blue. */
export function glassOf(screen: HeldScreen, { bars: shown }: Scene): string {
  const { width, height } = screen;
  const add = 'mix-blend-mode:plus-lighter';
  const box = (x: number, y: number, w: number, h: number, radius: string, colour: string) =>
    `<div style="position:absolute;left:${x}px;top:${y}px;width:${w}px;height:${h}px;background:${colour};border-radius:${radius};${add}"></div>`;
  const cutouts = screen.cutouts.map(({ rect: r, radius, isNotch }) => {
    const [l, t, rt, b] = [r.x <= 0, r.y <= 0, r.x + r.width >= width, r.y + r.height >= height];
    const corner = (onEdge: boolean) => (isNotch && onEdge ? '0' : `${radius}px`);
    const radii = [l || t, rt || t, rt || b, l || b].map(corner).join(' ');
    return box(r.x, r.y, r.width, r.height, radii, '#f00');
  });
  const corner = `<div style="position:absolute;inset:0;overflow:hidden;${add}"><div style="position:absolute;inset:0;border-radius:${screen.cornerRadius}px;box-shadow:0 0 0 400px #0f0"></div></div>`;
  const top = screen.statusBar + (shown.title.shown ? shown.title.height : 0);
  const bars = [
    box(0, 0, width, top, '0', '#00f'),
    box(0, height - screen.gestureBar, width, screen.gestureBar, '0', '#00f'),
  ];
  return `<div style="position:absolute;inset:0;background:#000;isolation:isolate">${[...cutouts, corner, ...bars].join('')}</div>`;
}
