'use client';
import { Button } from 'react-bootstrap';
import { checkScreen } from '@/core/screens/check';
import type { Screen } from '@/core/screens/screen';
import { sayDensity, sayNumber, sayRatio, saySize } from '@/core/words/numbers';
import { kindWord } from '../words';
import { ScreenDrawing } from './ScreenDrawing';
import { ShareButton } from './SharedScreens';

const FAMILIES: Record<Screen['family'], string> = {
  'whole-number': 'by scales of whole numbers',
  'density-class': 'by density classes',
};

const sayInsets = ({ top, right, bottom, left }: Screen['insets'][0]) =>
  `top ${sayNumber(top)}, right ${sayNumber(right)}, bottom ${sayNumber(bottom)}, left ${sayNumber(left)}`;

/** What is known of a screen, in words. */
function factsOf(s: Screen): [string, string][] {
  const { status, gesture, buttons } = s.bars;
  const bar = (lu: number | null) => (lu === null ? 'none' : `${sayNumber(lu)} lu`);
  return [
    ['Kind', kindWord(s.kind)],
    ['Size', `${saySize(s)} lu, ratio ${sayRatio(s.width / s.height)}`],
    ['Device px', `${saySize(s.framebufferPx)} at ${sayDensity(s.density)} px per lu`],
    [
      'Panel',
      s.ppi ? `${saySize(s.panelPx)} px, ${sayNumber(s.ppi)} px per inch` : `${saySize(s.panelPx)} px`,
    ],
    ['Files', FAMILIES[s.family]],
    ['Insets, upright', sayInsets(s.insets[0])],
    ['Insets, turned left', sayInsets(s.insets[90])],
    ['Insets, turned right', sayInsets(s.insets[270])],
    ['Corners', `${sayNumber(s.cornerRadius)} lu`],
    ['Status bar', `${sayNumber(status.portrait)} lu upright, ${sayNumber(status.landscape)} lu turned`],
    ['Line to swipe, buttons', `${bar(gesture)}, ${bar(buttons)}`],
    ['Cutouts', s.cutouts.length === 0 ? 'none' : s.cutouts.map((c) => c.shape).join(', ')],
    ['Turns', s.rotates ? 'yes' : 'no'],
    ['Weight', sayNumber(s.weight)],
    ['How sure', s.confidence],
    ['Approximate', s.approximate.length === 0 ? 'nothing' : s.approximate.join(', ')],
  ];
}

interface Props {
  screen: Screen;
  onCopy: () => void;
  onEdit: () => void;
  onRemove: () => void;
}

/** One screen: drawn, with everything that is known of it and what is only approximate. */
export function ScreenDetail({ screen, onCopy, onEdit, onRemove }: Props) {
  const isOwn = screen.origin !== 'catalogue';
  const odd = checkScreen(screen);
  return (
    <>
      <h2>{screen.label}</h2>
      <p className="sets-ways">
        <Button variant={isOwn ? 'quiet' : 'primary'} size="sm" onClick={onCopy}>
          duplicate and change
        </Button>
        {isOwn && (
          <>
            <Button variant="quiet" size="sm" onClick={onEdit}>
              edit
            </Button>
            <ShareButton screen={screen} />
            <Button variant="quiet" size="sm" onClick={onRemove}>
              remove
            </Button>
          </>
        )}
      </p>
      <div className="sets-drawings">
        <ScreenDrawing screen={screen} />
        {screen.rotates && <ScreenDrawing screen={screen} rotation={90} />}
      </div>
      {isOwn &&
        odd.map(({ text }) => (
          <p key={text} className="outcome-warn">
            {text}
          </p>
        ))}
      <table className="measures">
        <tbody>
          {factsOf(screen).map(([name, text]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td className="figures">{text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
