'use client';
import { Form } from 'react-bootstrap';
import { KEPT_OF_MASTER } from '@/core/pictures/derive';
import { densitiesThere, isAmong } from '@/core/pictures/making';
import type { FileSet } from '@/core/pictures/master';
import { sayDensity, saySize } from '@/core/words/numbers';
import { Choices } from '../../parts/Choices';
import { NumberField } from '../../parts/NumberField';
import { CUT_WORDS } from '../../words';
import { firstAsking, hasFrame, intoCut, KEEP_WORDS, sourceOf, withRatio, type Asking } from './asking';

export interface ChoiceProps {
  asking: Asking;
  /** whose master is taken */
  set: FileSet;
  onChange: (asking: Asking) => void;
}

const saySet = ({ cut, appearance }: FileSet) => `${CUT_WORDS[cut.cut]}, ${appearance}`;

/** From which file all others are made. */
export function SourceChoice({
  asking,
  set,
  sets,
  wanted,
  onChange,
}: ChoiceProps & { sets: readonly FileSet[]; wanted: readonly number[] }) {
  const master = sourceOf(set);
  const px = saySize({ width: master.widthPx, height: master.heightPx });
  return (
    <label className="labelled">
      <span>From</span>
      <Form.Select
        size="sm"
        value={asking.set}
        onChange={(e) => {
          const index = Number(e.target.value);
          onChange({ ...firstAsking([sets[index]!], wanted), set: index });
        }}
      >
        {sets.map((s, i) => (
          <option key={saySet(s)} value={i}>
            {saySet(s)}
          </option>
        ))}
      </Form.Select>
      <span className="quiet figures">
        {master.vector ? 'a vector' : `its master of ${px} px at ${sayDensity(master.density)}x`}
      </span>
    </label>
  );
}

/** For which orientation, and of which ratio where a part is taken. */
export function CutChoice({ asking, set, wanted, onChange }: ChoiceProps & { wanted: readonly number[] }) {
  const options = (['any', 'portrait', 'landscape'] as const).filter((c) => c === set.cut.cut || c !== 'any');
  const side = (key: 'width' | 'height', label: string) => (
    <NumberField
      label={label}
      min={1}
      max={100}
      value={asking.ratio[key]}
      onChange={(value) => onChange(withRatio(asking, { ...asking.ratio, [key]: value }, set))}
      onCommit={() => {}}
    />
  );
  return (
    <>
      <Choices
        label="For"
        options={options.map((value) => ({ value, label: CUT_WORDS[value] }))}
        value={asking.into}
        onChoose={(into) => onChange(intoCut(asking, into, set, wanted))}
      />
      {hasFrame(asking, set) && (
        <div className="make-ratio">
          {side('width', 'Ratio, width')}
          {side('height', 'Ratio, height')}
        </div>
      )}
    </>
  );
}

/** Densities that may be asked for: those of the project, and the master’s own. */
const offered = (wanted: readonly number[], { density, vector }: { density: number; vector: boolean }) =>
  [...wanted, ...(vector || isAmong(density, wanted) ? [] : [density])].toSorted((a, b) => a - b);

/** Which densities are made; those above the master’s are enlarged only when they are asked for. */
export function DensityChoice({
  asking,
  set,
  wanted,
  onChange,
}: ChoiceProps & { wanted: readonly number[] }) {
  const master = sourceOf(set);
  const there = densitiesThere(set.picture, asking.into, set.appearance);
  const note = (d: number) => {
    if (!master.vector && d > master.density + 1e-6) return ', more than its master has';
    return isAmong(d, there) ? ', replaces the file that is there' : '';
  };
  return (
    <fieldset className="make-densities">
      <legend>Densities</legend>
      {offered(wanted, master).map((d) => (
        <Form.Check
          key={d}
          type="checkbox"
          id={`make-${d}`}
          label={
            <>
              {sayDensity(d)}x<span className="quiet">{note(d)}</span>
            </>
          }
          checked={isAmong(d, asking.densities)}
          onChange={(e) =>
            onChange({
              ...asking,
              densities: e.target.checked
                ? [...asking.densities, d]
                : asking.densities.filter((o) => !isAmong(o, [d])),
            })
          }
        />
      ))}
    </fieldset>
  );
}

/** A ground, what is kept of the master, and how light is averaged. */
export function HowChoice({ asking, onChange }: ChoiceProps) {
  return (
    <fieldset className="make-how">
      <legend>How</legend>
      <div className="make-ground">
        <Form.Check
          type="checkbox"
          id="make-ground"
          label="on a ground, not see-through"
          checked={asking.ground !== null}
          onChange={(e) => onChange({ ...asking, ground: e.target.checked ? '#ffffff' : null })}
        />
        {asking.ground !== null && (
          <Form.Control
            type="color"
            aria-label="Ground"
            value={asking.ground}
            onChange={(e) => onChange({ ...asking, ground: e.target.value })}
          />
        )}
      </div>
      <Form.Check
        type="checkbox"
        id="make-linear"
        label="average light, not its values: fine bright detail keeps its brightness"
        checked={asking.linear}
        onChange={(e) => onChange({ ...asking, linear: e.target.checked })}
      />
      <label className="labelled">
        <span>Keeps</span>
        <Form.Select
          size="sm"
          value={asking.keep}
          onChange={(e) => onChange({ ...asking, keep: e.target.value as Asking['keep'] })}
        >
          {KEPT_OF_MASTER.map((k) => (
            <option key={k} value={k}>
              {KEEP_WORDS[k]}
            </option>
          ))}
        </Form.Select>
      </label>
    </fieldset>
  );
}
