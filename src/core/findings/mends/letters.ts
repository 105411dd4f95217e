import { faceOf, FONTS, type TextStyle } from '../../text/style';
import { sayNumber } from '../../words/numbers';
import { sayLetters } from '../../words/words';
import { layerMend, type Mender, type Sick } from '../mend';

/** The fonts that a text could be written in, with what each is called. */
const fontsOf = ({ documents: { project } }: Sick): { font: TextStyle['font']; name: string }[] => [
  ...FONTS.map((font) => ({ font, name: font })),
  ...(project.fonts ?? []).map(({ hash, name }) => ({ font: `font:${hash}` as const, name })),
];

/** Another font that has all letters of a text. */
export const otherFont: Mender = (sick) => {
  const { layer, input } = sick;
  if (layer?.kind !== 'text' || !input.fonts) return [];
  const { fonts } = input;
  return fontsOf(sick)
    .filter(({ font }) => font !== layer.style.font)
    .filter(({ font }) => fonts.missing(layer.text, faceOf({ ...layer.style, font })).length === 0)
    .flatMap(({ font, name }) =>
      layerMend(sick, `Write it in ${name}, which has all of its letters`, (l) =>
        l.kind === 'text' ? { ...l, style: { ...l.style, font } } : l,
      ),
    );
};

/** The text without the letters that its font lacks. */
export const withoutLetters: Mender = (sick) => {
  const { layer, input } = sick;
  if (layer?.kind !== 'text' || !input.fonts) return [];
  const missing = input.fonts.missing(layer.text, faceOf(layer.style));
  const rest = missing.reduce((text, letter) => text.replaceAll(letter, ''), layer.text);
  const text = rest.replace(/ {2,}/g, ' ').trim();
  if (text === '') return [];
  return layerMend(sick, `Leave out ${sayLetters(missing)}`, (l) => (l.kind === 'text' ? { ...l, text } : l));
};

/** Room for one or two more lines. */
export const moreLines: Mender = (sick) => {
  const { layer } = sick;
  const now = layer?.kind === 'text' ? layer.style.maxLines : undefined;
  if (now === undefined) return [];
  return [now + 1, now + 2].flatMap((maxLines) =>
    layerMend(sick, `Give it ${maxLines} lines`, (l) =>
      l.kind === 'text' ? { ...l, style: { ...l.style, maxLines } } : l,
    ),
  );
};

/** Letters of the least size that is asked for, and none that shrink below it. */
export const readableType: Mender = (sick) => {
  const { layer, finding } = sick;
  const least = finding.worst.limit.min;
  if (layer?.kind !== 'text' || least === undefined) return [];
  return layerMend(sick, `Write it in ${sayNumber(least)} or more`, (l) => {
    if (l.kind !== 'text') return l;
    const { size, shrinkTo } = l.style;
    const shrinks = shrinkTo === undefined ? {} : { shrinkTo: Math.max(least, shrinkTo) };
    return { ...l, style: { ...l.style, size: Math.max(least, size), ...shrinks } };
  });
};
