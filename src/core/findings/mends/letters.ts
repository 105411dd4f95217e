import { faceOf, FONTS, type TextStyle } from '../../text/style';
import { sayLetters } from '../../formats/words';
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
