import { isWhole, measuredScreen, sayHeld, sayUnread, type Reading } from '@/core/screens/measured';
import { heldSize } from '@/core/screens/turn';
import { sayDensity, sayNumber, saySize } from '@/core/words/numbers';

const element = <K extends keyof HTMLElementTagNameMap>(name: K, text = '', inside: readonly Node[] = []) => {
  const made = document.createElement(name);
  if (text) made.textContent = text;
  made.append(...inside);
  return made;
};

const row = (name: string, values: readonly string[]) => {
  const head = element('th', name);
  head.scope = 'row';
  return element('tr', '', [head, ...values.map((v) => element('td', v))]);
};

/** What was read, position by position, and what was not. @param readings the latest of each position */
export function figuresOf(readings: readonly Reading[]): HTMLElement[] {
  const screen = measuredScreen(readings, { id: 'real-screen', label: '' });
  const head = element('tr', '', [
    element('td'),
    ...readings.map((r) => {
      const cell = element('th', sayHeld(r));
      cell.scope = 'col';
      return cell;
    }),
  ]);
  const inset = (side: keyof Reading['insets']) => readings.map((r) => sayNumber(r.insets[side]));
  const table = element('table', '', [
    element('thead', '', [head]),
    element('tbody', '', [
      row(
        'Screen, lu',
        readings.map((r) => saySize(r.screen)),
      ),
      row(
        'Of it this page has',
        readings.map((r) => (isWhole(r) ? 'all' : saySize(r.window))),
      ),
      row(
        'Device px',
        readings.map((r) => saySize(heldSize(screen.framebufferPx, r.rotation))),
      ),
      row(
        'px per lu',
        readings.map((r) => sayDensity(r.density)),
      ),
      row('Inset at the top, lu', inset('top')),
      row('right', inset('right')),
      row('bottom', inset('bottom')),
      row('left', inset('left')),
    ]),
  ]);
  const unread = sayUnread(readings);
  const list = element(
    'ul',
    '',
    unread.map((text) => element('li', text)),
  );
  return unread.length > 0 ? [table, list] : [table];
}
