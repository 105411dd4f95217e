import { label as below } from '../src/core/placing/presets';
import { filePixelsOf, MOST_READ_PIXELS } from '../src/core/pixels/file';
import type { TextLayer } from '../src/core/scene/scene';
import { contrastOf } from '../src/core/survey/contrast';
import { survey } from '../src/core/survey/survey';
import { halfWide } from '../src/core/testing/fonts';
import { medianMs, report } from './measure';
import { cases, input } from './survey';

const label: TextLayer = {
  kind: 'text',
  id: 'label',
  name: 'Label',
  role: 'text',
  visible: true,
  placing: below('emblem'),
  text: 'Boats leave at noon',
  style: {
    font: 'sans',
    weight: 400,
    size: 18,
    lineHeight: 1.3,
    colour: { light: '#ffffff' },
    align: { x: 'middle', y: 'start' },
  },
};

/** A photo with as many pixels as are ever read. */
function photo() {
  const width = Math.floor(Math.sqrt(MOST_READ_PIXELS * (4 / 3)));
  const height = Math.floor(MOST_READ_PIXELS / width);
  const data = Uint8Array.from({ length: width * height * 4 }, (_, i) =>
    i % 4 === 3 ? 255 : (i * 7919) % 256,
  );
  return filePixelsOf({ width, height, data });
}

/** Contrast of one text over a photo, a logo and a wordmark, on all cases. */
export function benchContrast(): void {
  const { layers } = input.scene;
  const results = survey(
    { ...input, fonts: halfWide, scene: { ...input.scene, layers: [...layers, label] } },
    cases,
  );
  const file = photo();
  const files = results.flatMap((r) =>
    r.layers.flatMap((l) => (l.kind === 'picture' ? [l.rendition.hash] : [])),
  );
  const pixels = new Map(files.map((hash) => [hash, file]));
  const ms = medianMs(() => {
    for (const r of results) {
      const text = r.layers.at(-1)!;
      if (text.kind === 'text') contrastOf(text, r.layers.slice(0, -1), pixels, r.appearance);
    }
  });
  report('contrast of one text on all cases', 'ms', ms, { cases: results.length, under: layers.length });
}
