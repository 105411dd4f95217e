'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { messageOf } from '../api';
import { copyText } from '../parts/clipboard';
import { inPx } from './figure-px';

interface Props {
  /** the figure, as it is read */
  text: string;
  /** px per lu, of a figure that is a length in lu; absent of another */
  density?: number;
}

/** Copies a figure as it stands; a length in device px as well. */
export function CopyWays({ text, density }: Props) {
  const [said, setSaid] = useState('');
  const copy = (what: string) => {
    copyText(what).then(
      () => setSaid(`${what} was copied.`),
      (error: unknown) => setSaid(messageOf(error)),
    );
  };
  const figures = density === undefined ? [text] : [`${text.replace(/ lu$/, '')} lu`, inPx(text, density)];
  return (
    <p className="copy-ways figures">
      {figures.map((figure) => (
        <Button key={figure} variant="quiet" size="sm" onClick={() => copy(figure)}>
          copy {figure}
        </Button>
      ))}
      <span role="status">{said}</span>
    </p>
  );
}
