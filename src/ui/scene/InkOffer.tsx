'use client';
import { stepOf } from '@/core/steps/commands';
import { current } from 'immer';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Rect } from '@/core/geometry/rect';
import { sayShare } from '@/core/words/numbers';
import { trimmed, withEvenRoom } from '@/core/pictures/derive';
import { inkFiles, inkOffOf, inkOfCuts } from '@/core/pictures/cut-ink';
import { widestOf, type Cut, type Picture } from '@/core/pictures/picture';
import { offMiddle } from '@/core/pixels/centre';
import { paddingOf } from '@/core/pixels/ink';
import { withInkCentred, withoutInkShifts, type InkOff } from '@/core/scene/ink-rules';
import type { PictureLayer } from '@/core/scene/scene';
import { derive, messageOf } from '../api';
import { fileOf } from '@/core/project/place-picture';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { NumberField } from '../parts/NumberField';
import { edit } from '../state/edit';
import { useStatistics } from '../state/statistics';
import { CUT_WORDS } from '../words';

/** Less room than this around the ink is not worth a word. */
const LEAST = 0.005;

function sayOff({ x, y }: { x: number; y: number }): string {
  const parts = [
    Math.abs(x) >= LEAST && `${sayShare(Math.abs(x))} to the ${x > 0 ? 'right' : 'left'}`,
    Math.abs(y) >= LEAST && `${sayShare(Math.abs(y))} ${y > 0 ? 'below' : 'above'}`,
  ].filter(Boolean);
  return parts.length > 0 ? `${parts.join(' and ')} of its middle` : 'in its middle';
}

/** The bitmaps of the cuts whose ink is known, each with the part that is kept of it. */
const filesToTrim = (picture: Picture, parts: InkParts) =>
  picture.cuts.flatMap(({ cut, renditions }) => {
    const part = parts.get(cut);
    return part ? renditions.filter((r) => !r.vector).map((file) => ({ file, part })) : [];
  });

/** The parts with the room that is left around them, as the largest file of each cut has it. */
const partsWithRoom = (picture: Picture, parts: InkParts, room: number): InkParts =>
  new Map(
    picture.cuts.flatMap(({ cut, renditions }) => {
      const part = parts.get(cut);
      return part ? [[cut, withEvenRoom(part, widestOf(renditions), room).around] as const] : [];
    }),
  );

/** Every file without the room around its ink; keep areas and focal point stay where they are on the drawing. */
function useTrim(picture: Picture, parts: InkParts, off: InkOff, onDone: () => void, room: number) {
  const store = useWorkbenchStore();
  const projectId = useWorkbench((s) => s.documents.project.id);
  const [busy, setBusy] = useState(false);
  const trim = async () => {
    setBusy(true);
    const around = partsWithRoom(picture, parts, room);
    try {
      const files = await Promise.all(
        filesToTrim(picture, parts).map(
          async ({ file, part }) =>
            [
              file.hash,
              fileOf(
                await derive(projectId, {
                  make: 'trim',
                  hash: file.hash,
                  part,
                  room: withEvenRoom(part, file, room).room,
                }),
              ),
            ] as const,
        ),
      );
      edit(store, stepOf('picture.trim', picture.name), ({ project, scenes }) => {
        const at = project.pictures.findIndex((p) => p.id === picture.id);
        if (at >= 0) project.pictures[at] = trimmed(project.pictures[at]!, around, new Map(files));
        // Trimmed to its ink, what was shifted to its middle would lie off it.
        for (const scene of Object.values(scenes))
          scene.layers = scene.layers.map((l) =>
            l.kind === 'picture' && l.picture === picture.id ? withoutInkShifts(current(l), off) : l,
          );
      });
      onDone();
    } catch (error) {
      store.setState({ message: messageOf(error) });
    } finally {
      setBusy(false);
    }
  };
  return { busy, trim };
}

/** Where the ink lies in one cut, and the room around it. */
function CutInk({ name, bounds }: { name: string; bounds: Rect }) {
  const room = paddingOf({ bounds });
  const sides = (['left', 'right', 'top', 'bottom'] as const).map((s) => `${s} ${sayShare(room[s])}`);
  return (
    <span className="choices-label">
      The ink of {name} lies {sayOff(offMiddle({ bounds }))}; around it is room of {sides.join(', ')}.
    </span>
  );
}

function Offer({ layer, picture, parts, off, onDone }: Props & OfferProps) {
  const store = useWorkbenchStore();
  const [room, setRoom] = useState(0);
  const { busy, trim } = useTrim(picture, parts, off, onDone, room / 100);
  const { align } = layer.fit;
  // Where the drawing fills its box a share of the box is the same share of the file.
  const fills = 'ratio' in layer.placing && layer.placing.ratio?.value === 'own';
  const centre = () =>
    edit(store, stepOf('layer.ink-centred', layer.name), ({ scenes }) => {
      const scene = scenes[store.getState().sceneId];
      if (!scene) return;
      scene.layers = scene.layers.map((l) =>
        l.id === layer.id && l.kind === 'picture' ? withInkCentred(current(l), off) : l,
      );
    });
  const rooms = [...parts.values()].flatMap((bounds) => Object.values(paddingOf({ bounds })));
  const isOff = [off.portrait, off.landscape].some(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)) >= LEAST);
  if (Math.max(...rooms) < LEAST) return null;
  const nameOf = (cut: string) =>
    parts.size > 1 ? `${picture.name}, the cut for ${CUT_WORDS[cut as Cut['cut']]},` : picture.name;
  return (
    <div className="bound offers" role="group" aria-label="Ink">
      {[...parts].map(([cut, bounds]) => (
        <CutInk key={cut} name={nameOf(cut)} bounds={bounds} />
      ))}
      <span>
        {isOff && fills && align.kind === 'position' && (
          <Button variant="quiet" size="sm" onClick={centre}>
            centre by ink
          </Button>
        )}
        {filesToTrim(picture, parts).length > 0 && (
          <>
            <Button variant="quiet" size="sm" disabled={busy} onClick={() => void trim()}>
              trim files to ink
            </Button>
            <NumberField
              label="with even room of"
              unit="%"
              min={0}
              max={100}
              value={room}
              onChange={setRoom}
              onCommit={() => {}}
            />
          </>
        )}
      </span>
    </div>
  );
}

type InkParts = ReadonlyMap<Cut['cut'], Rect>;
interface OfferProps {
  picture: Picture;
  /** where the ink of each cut lies */
  parts: InkParts;
  off: InkOff;
}

interface Props {
  layer: PictureLayer;
  onDone: () => void;
}

/** What the room around a logo’s ink does to it, and two ways out: by the rule, or by the files. */
export function InkOffer({ layer, onDone }: Props) {
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === layer.picture));
  const known = useStatistics(picture ? inkFiles(picture) : []);
  if (!picture) return null;
  const ink = new Map([...known].flatMap(([hash, { ink: i }]) => (i ? [[hash, i] as const] : [])));
  const parts = inkOfCuts(picture, ink);
  const off = inkOffOf(picture, parts);
  return off && <Offer {...{ layer, picture, parts, off, onDone }} />;
}
