import { bestReadings, isWhole, type Reading } from '@/core/screens/measured';
import type { Showing } from '@/formats/real-screen/shown';
import { figuresOf } from './figures';
import { onWindow, readScreen } from './read';
import { createShow } from './show';

/** What runs on a real screen: it is read, told to the desk, and shows what the desk sends. */

const base = `/${document.documentElement.dataset.address}`;
const find = <T extends Element>(selector: string) => document.querySelector<T>(selector)!;
const [canvas, sheet] = [find<HTMLCanvasElement>('canvas'), find<HTMLElement>('.sheet')];
const [title, status, figures] = [find('#title'), find('#status'), find('#figures')];
const [showButton, fillButton] = [find<HTMLButtonElement>('#show'), find<HTMLButtonElement>('#fill')];
const show = createShow(canvas, base);

/** The best of each position. */
let readings: Reading[] = [];
/** As it is held. */
let now: Reading | null = null;
/** Whether the desk has ended it: nothing more is read or shown. */
let isOver = false;

function say(heading: string, text: string): void {
  title.textContent = heading;
  status.textContent = text;
}

function sayRead(): void {
  const shown = show.name();
  say(
    now && isWhole(now) ? 'This screen is read' : 'This window is read',
    shown === null
      ? 'What the desk looks at comes as soon as it is drawn for it.'
      : `The desk shows “${shown}”.`,
  );
}

function openSheet(open: boolean): void {
  sheet.hidden = !open;
  (open ? showButton : canvas).focus();
}

function end(): void {
  isOver = true;
  say('This was ended at the desk', 'Ask there for a new address, or close this page.');
  figures.replaceChildren();
  showButton.hidden = fillButton.hidden = true;
  sheet.hidden = false;
  if (document.fullscreenElement) document.exitFullscreen().catch(() => {});
}

/** What the desk was told last. */
let told: Reading | null = null;
let isTelling = false;
/** After how long it is tried again to tell the desk, ms. */
const AGAIN_MS = 1500;

/** Tells the desk what was read, one after another, so that the latest is the last that it hears. */
async function tell(): Promise<void> {
  if (isTelling) return;
  isTelling = true;
  try {
    while (now !== told && !isOver) {
      const reading = now;
      const response = await fetch(`${base}/reading`, { method: 'POST', body: JSON.stringify(reading) });
      if (response.status === 404) return end();
      if (!response.ok) throw new Error(`${response.status}`);
      told = reading;
      sayRead();
    }
  } catch {
    lost();
    setTimeout(() => void tell(), AGAIN_MS);
  } finally {
    isTelling = false;
  }
}

const lost = () => {
  if (!isOver) say('The desk does not answer', 'It is tried again. Stay in the same network.');
};

function read(px: { width: number; height: number } | null): void {
  const reading = isOver ? null : readScreen(find('.area'), px);
  // What is heard of twice is told once.
  if (!reading || JSON.stringify(reading) === JSON.stringify(now)) return;
  now = reading;
  show.over(reading.windowPx);
  readings = bestReadings([...readings, reading]);
  figures.replaceChildren(...figuresOf(readings));
  fillButton.hidden = isWhole(reading) || !document.fullscreenEnabled;
  void tell();
}

function follow(): void {
  const source = new EventSource(`${base}/shown`);
  source.onmessage = ({ data }: MessageEvent<string>) => {
    const isFirst = show.name() === null;
    show.take(JSON.parse(data) as Showing);
    canvas.setAttribute(
      'aria-label',
      `${show.name()}, as the desk draws it for this screen. Opens what was read off it${show.isFilm() ? ', and begins anew' : ''}.`,
    );
    sayRead();
    showButton.hidden = false;
    if (isFirst) sheet.hidden = true;
  };
  source.addEventListener('end', () => {
    source.close();
    end();
  });
  source.onopen = () => {
    if (now) sayRead();
  };
  source.onerror = lost;
}

/** Uses the address, unless this screen has come by it before, and goes on from there. */
async function begin(): Promise<void> {
  const response = await fetch(`${base}/come`, { method: 'POST' });
  if (!response.ok)
    return say('This address was used', 'It is good for one screen, once. Ask for a new one at the desk.');
  follow();
  onWindow(find('.window'), find('.area'), read);
}

canvas.addEventListener('click', () => openSheet(true));
canvas.addEventListener('keydown', (event) => {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  // The button that gets the focus would be pressed by the same key.
  event.preventDefault();
  openSheet(true);
});
showButton.addEventListener('click', () => {
  openSheet(false);
  show.again();
});
fillButton.addEventListener('click', () => {
  document.documentElement.requestFullscreen({ navigationUI: 'hide' }).catch(() => {
    fillButton.hidden = true;
  });
});
begin().catch(lost);
