'use client';
import { Button } from 'react-bootstrap';
import { sayShare } from '@/core/formats/numbers';
import type { Cut } from '@/core/pictures/picture';
import { useStatistics } from '../state/statistics';

interface Props {
  cut: Cut;
  hash: string;
  change: (recipe: (cut: Cut) => void) => void;
  onCommit: () => void;
}

const whole = (share: number) => sayShare(Math.round(share * 100) / 100);

/** Focal point and keep area as the detail of the picture suggests them: an offer, which is taken or not. */
export function Suggested({ cut, hash, change, onCommit }: Props) {
  const suggestion = useStatistics([hash]).get(hash)?.suggestion;
  if (!suggestion) return null;
  const { keepArea, focalPoint } = suggestion;
  const take = (recipe: (cut: Cut) => void) => () => {
    change(recipe);
    onCommit();
  };
  const subject = 'Where the detail is';
  return (
    <div className="bound offers" role="group" aria-label="From the pixels">
      <span className="choices-label">
        Where the picture has most detail, which may be its subject or not
      </span>
      <p>
        {whole(keepArea.width)} × {whole(keepArea.height)}, from {whole(keepArea.x)} across and{' '}
        {whole(keepArea.y)} down.{' '}
        <Button
          variant="quiet"
          size="sm"
          disabled={cut.keepAreas.some((k) => k.subject === subject)}
          onClick={take((c) => c.keepAreas.push({ subject, rect: keepArea, weight: 1 }))}
        >
          make it a keep area
        </Button>
      </p>
      <p>
        Its middle is {whole(focalPoint.x)} across, {whole(focalPoint.y)} down; the focal point is{' '}
        {whole(cut.focalPoint.x)}, {whole(cut.focalPoint.y)}.{' '}
        <Button variant="quiet" size="sm" onClick={take((c) => (c.focalPoint = focalPoint))}>
          make it the focal point
        </Button>
      </p>
    </div>
  );
}
