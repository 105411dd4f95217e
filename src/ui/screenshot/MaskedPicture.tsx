'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Rect, Size } from '@/core/geometry/rect';
import type { Evidence } from '@/core/project/proof';
import { findCase } from '@/core/screens/cases';
import { turn } from '@/core/screens/turn';
import { previewFor } from '@/core/pictures/previews';
import { previewAddress } from '../drawing/pixels';
import { useWorkbench } from '../state/context';
import { Mask } from './Mask';

/** px, of a picture that is looked at beside figures. */
const SHOWN = { width: 512, height: 1024 };

interface Props {
  shot: Evidence;
  isBusy: boolean;
  /** absent where nothing can be changed */
  onAgain?: (ignored: Rect[]) => void;
}

const pxOf = ({ width, height }: Size, density: number) => ({
  widthPx: Math.round(width * density),
  heightPx: Math.round(height * density),
});

interface ActsProps {
  masks: readonly Rect[];
  /** of the screen, lu */
  size: Size;
  isBusy: boolean;
  onChange: (masks: readonly Rect[]) => void;
  /** `null` while nothing else is left out than was */
  onAgain: (() => void) | null;
}

/** Leaves out more or less, and looks again. */
function MaskActs({ masks, size: { width, height }, isBusy, onChange, onAgain }: ActsProps) {
  const another = { x: width / 4, y: height / 4, width: width / 2, height: height / 10 };
  return (
    <p className="shot-acts">
      <Button variant="quiet" size="sm" onClick={() => onChange([...masks, another])}>
        leave out a part
      </Button>
      <Button
        variant="quiet"
        size="sm"
        disabled={masks.length === 0}
        onClick={() => onChange(masks.slice(0, -1))}
      >
        leave out one less
      </Button>
      {onAgain && (
        <Button variant="primary" size="sm" disabled={isBusy} onClick={onAgain}>
          look again
        </Button>
      )}
    </p>
  );
}

/** Where a screenshot differs from its case, with what is not looked at laid over it. */
export function MaskedPicture({ shot, isBusy, onAgain }: Props) {
  const screens = useWorkbench((s) => s.screens);
  const [masks, setMasks] = useState<readonly Rect[]>(shot.ignored);
  const c = findCase(shot.case, screens);
  if (!c) return null;
  const { size } = turn(c.screen, c.rotation);
  const change = (i: number, rect: Rect) => setMasks(masks.map((m, j) => (j === i ? rect : m)));
  return (
    <>
      <div className="shot-picture">
        {/* A drawing of the server, and nothing that an image optimiser could add. */}
        {/* eslint-disable-next-line @next/next/no-img-element */}
        <img
          src={previewAddress(shot.picture, previewFor(pxOf(size, c.screen.density), SHOWN))}
          alt={`where ${shot.name} differs from the case`}
        />
        {masks.map((rect, i) => (
          <Mask
            key={i}
            {...{ rect, size }}
            name={`left out, ${i + 1} of ${masks.length}`}
            onChange={(next) => change(i, next)}
          />
        ))}
      </div>
      {onAgain && (
        <MaskActs
          {...{ masks, size, isBusy }}
          onChange={setMasks}
          onAgain={masks === shot.ignored ? null : () => onAgain([...masks])}
        />
      )}
    </>
  );
}
