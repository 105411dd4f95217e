'use client';
import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { useCopying } from './useSheet';
import { wasTaken } from './taken';

interface FigureProps {
  /** where it stands on the sheet */
  figure: string;
  /** what is copied */
  text: string;
  /** what it is, for whoever hears it */
  label: string;
  /** what is shown, where that is more than what is copied */
  children?: ReactNode;
}

/** A figure that is copied by a click, or by Enter. */
export function CopyFigure({ figure, text, label, children }: FigureProps) {
  const { copy } = useCopying();
  return (
    <button
      type="button"
      className="copy-figure"
      title={`copy ${text}`}
      aria-label={`copy ${label}: ${text}`}
      onClick={() => copy(text, label, [figure])}
    >
      {children ?? text}
    </button>
  );
}

/** How a figure was when it was copied or taken along last, where it has changed since. */
export function Changed({ figure, now }: { figure: string; now: string }) {
  const { taken } = useCopying();
  const was = wasTaken(taken, figure, now);
  return was === null ? null : (
    <span className="was" title="as it was copied or taken along last">
      was {was}
    </span>
  );
}

interface BlockProps {
  label: string;
  /** made when it is asked for */
  text: () => string;
  what: string;
  /** the figures that are in it; all when absent */
  figures?: readonly string[];
}

/** Copies several figures, or a block of text. */
export function CopyBlock({ label, text, what, figures }: BlockProps) {
  const { copy } = useCopying();
  return (
    <Button variant="quiet" size="sm" onClick={() => copy(text(), what, figures)} aria-label={`copy ${what}`}>
      {label}
    </Button>
  );
}
