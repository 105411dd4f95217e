'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { centredByInk, withoutInkShift } from '@/core/fit/presets';
import { sayShare } from '@/core/formats/numbers';
import { trimmed } from '@/core/pictures/derive';
import type { Picture } from '@/core/pictures/picture';
import { offMiddle } from '@/core/pixels/centre';
import { paddingOf, type Ink } from '@/core/pixels/ink';
import { withFits } from '@/core/scene/rules';
import type { PictureLayer } from '@/core/scene/scene';
import { derive, messageOf } from '../api';
import { masterOf } from '../drawing/PictureThumb';
import { fileOf } from '../import/place-picture';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit, inLayer } from '../state/edit';
import { useStatistics } from '../state/statistics';

/** Less room than this around the ink is not worth a word. */
const LEAST = 0.005;

function sayOff({ x, y }: { x: number; y: number }): string {
  const parts = [
    Math.abs(x) >= LEAST && `${sayShare(Math.abs(x))} to the ${x > 0 ? 'right' : 'left'}`,
    Math.abs(y) >= LEAST && `${sayShare(Math.abs(y))} ${y > 0 ? 'below' : 'above'}`,
  ].filter(Boolean);
  return parts.length > 0 ? `${parts.join(' and ')} of its middle` : 'in its middle';
}

const bitmapsOf = (picture: Picture) => [
  ...new Set(picture.cuts.flatMap((c) => c.renditions.filter((r) => !r.vector).map((r) => r.hash))),
];

/** Every file without the room around its ink; keep areas and focal point stay where they are on the drawing. */
function useTrim(picture: Picture, ink: Ink, onDone: () => void) {
  const store = useWorkbenchStore();
  const projectId = useWorkbench((s) => s.documents.project.id);
  const [busy, setBusy] = useState(false);
  const trim = async () => {
    setBusy(true);
    try {
      const part = ink.bounds;
      const files = await Promise.all(
        bitmapsOf(picture).map(
          async (hash) => [hash, fileOf(await derive(projectId, { make: 'trim', hash, part }))] as const,
        ),
      );
      const off = offMiddle(ink);
      edit(store, ({ project, scenes }) => {
        const at = project.pictures.findIndex((p) => p.id === picture.id);
        if (at >= 0) project.pictures[at] = trimmed(project.pictures[at]!, part, new Map(files));
        // Trimmed to its ink, what was shifted to its middle would lie off it.
        for (const { layers } of Object.values(scenes))
          for (const l of layers)
            if (l.kind === 'picture' && l.picture === picture.id)
              Object.assign(
                l,
                withFits(l, (fit) => withoutInkShift(fit, off)),
              );
      });
      onDone();
    } catch (error) {
      store.setState({ message: messageOf(error) });
      setBusy(false);
    }
  };
  return { busy, trim };
}

function Offer({ layer, picture, ink, onDone }: Props & { ink: Ink; picture: Picture }) {
  const store = useWorkbenchStore();
  const { busy, trim } = useTrim(picture, ink, onDone);
  const off = offMiddle(ink);
  const { align } = layer.fit;
  // Where the drawing fills its box a share of the box is the same share of the file.
  const fills = 'ratio' in layer.placing && layer.placing.ratio?.value === 'own';
  const centre = () =>
    edit(
      store,
      inLayer(store, layer.id, (l) => {
        if (l.kind === 'picture')
          Object.assign(
            l,
            withFits(l, (fit) => centredByInk(fit, off)),
          );
      }),
    );
  const room = paddingOf(ink);
  const hasRoom = Math.max(room.left, room.right, room.top, room.bottom) >= LEAST;
  const isOff = Math.max(Math.abs(off.x), Math.abs(off.y)) >= LEAST;
  if (!hasRoom) return null;
  return (
    <div className="bound offers" role="group" aria-label="Ink">
      <span className="choices-label">
        The ink of {picture.name} lies {sayOff(off)}; around it is room of{' '}
        {(['left', 'right', 'top', 'bottom'] as const).map((s) => `${s} ${sayShare(room[s])}`).join(', ')}.
      </span>
      <span>
        {isOff && fills && align.kind === 'position' && (
          <Button variant="quiet" size="sm" onClick={centre}>
            centre by ink
          </Button>
        )}
        {bitmapsOf(picture).length > 0 && (
          <Button variant="quiet" size="sm" disabled={busy} onClick={() => void trim()}>
            trim files to ink
          </Button>
        )}
      </span>
    </div>
  );
}

interface Props {
  layer: PictureLayer;
  onDone: () => void;
}

/** What the room around a logo’s ink does to it, and two ways out: by the rule, or by the files. */
export function InkOffer({ layer, onDone }: Props) {
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === layer.picture));
  const hash = picture && masterOf(picture).hash;
  const ink = useStatistics(hash ? [hash] : []).get(hash ?? '')?.ink;
  if (!picture || ink?.by !== 'alpha') return null;
  return <Offer {...{ layer, picture, ink, onDone }} />;
}
