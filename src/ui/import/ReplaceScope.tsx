'use client';
import { Form } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import type { Picture } from '@/core/pictures/picture';
import { besides, slotsOf, staying, type ReplaceWhich, type Slot } from '@/core/pictures/replace';
import { sayFile } from '../words';

const sayCut = ({ cut }: Pick<Slot, 'cut'>) => (cut === 'any' ? '' : `${cut}, `);
const saySlot = (s: Slot) =>
  `${sayCut(s)}${s.appearance}, ${s.vector ? 'vector' : `${sayDensity(s.density)}x`}`;

interface Props {
  picture: Picture;
  slot: Slot;
  scope: ReplaceWhich;
  /** the picture with the new file, once it is there */
  after: Picture | null;
  onSlot: (slot: Slot) => void;
  onScope: (scope: ReplaceWhich) => void;
}

/** Asks what a new file takes the place of, and says what becomes of each file, and what stays. */
export function ReplaceScope({ picture, slot, scope, after, onSlot, onScope }: Props) {
  const slots = slotsOf(picture);
  const others = besides(picture, slot);
  const key = (s: Slot) => saySlot(s);
  if (slots.length === 1) return null;
  return (
    <fieldset className="replace-scope">
      <legend className="visually-hidden">What it takes the place of</legend>
      <p className="replace-which">
        <label htmlFor="replace-slot">It is meant for the file</label>
        <Form.Select
          id="replace-slot"
          size="sm"
          value={key(slot)}
          onChange={(e) => {
            const next = slots.find((s) => key(s) === e.target.value);
            if (next) onSlot(next);
          }}
        >
          {slots.map((s) => (
            <option key={key(s)} value={key(s)}>
              {saySlot(s)}
            </option>
          ))}
        </Form.Select>
      </p>
      {others.length > 0 && (
        <>
          <Form.Check
            type="radio"
            name="replace-scope"
            id="replace-all"
            label={`and all ${others.length + 1} files for ${sayCut(slot)}${slot.appearance} are made from it`}
            checked={scope === 'all'}
            onChange={() => onScope('all')}
          />
          <Form.Check
            type="radio"
            name="replace-scope"
            id="replace-one"
            label="and only that one is replaced: other densities go on showing the old drawing"
            checked={scope === 'one'}
            onChange={() => onScope('one')}
          />
        </>
      )}
      {after && <Becomes {...{ picture, after }} />}
    </fieldset>
  );
}

/** Every file that becomes another one, and those that stay as they are. */
function Becomes({ picture, after }: { picture: Picture; after: Picture }) {
  const stays = staying(picture, after);
  const kept = new Set(stays.map(saySlot));
  const now = slotsOf(after);
  const changed = slotsOf(picture).filter((s) => !kept.has(saySlot(s)));
  return (
    <p className="figures quiet replace-becomes">
      {changed
        .map((s) => {
          const next = now.find((n) => saySlot(n) === saySlot(s));
          return `${saySlot(s)}: ${sayFile(s.file)} ${next ? `becomes ${sayFile(next.file)}` : 'goes'}`;
        })
        .join('; ')}
      .{' '}
      {stays.length > 0
        ? `As it is stays ${stays.map(saySlot).join('; ')}.`
        : 'Nothing of the old files stays.'}
    </p>
  );
}
