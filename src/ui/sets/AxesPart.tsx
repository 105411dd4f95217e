'use client';
import { stepOf } from '@/core/steps/commands';
import { Form } from 'react-bootstrap';
import {
  countWindows,
  MOST_WINDOWS,
  TEXT_SIZES,
  ZOOMS,
  type Axes,
  type WindowRange,
} from '@/core/screens/axes';
import { countCases, countOf } from '@/core/words/words';
import { NumberField } from '../parts/NumberField';
import { useCounted, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';

const FIRST_WINDOWS: WindowRange = {
  width: { low: 400, high: 1200 },
  height: { low: 400, high: 1000 },
  step: 200,
  density: 2,
};

const whole = (share: number) => `${Math.round(share * 100)} %`;

/** Without what is switched off, so that nothing is left of it. */
function tidied(axes: Axes): Axes | undefined {
  const kept = Object.entries(axes).filter(
    ([, v]) => v !== undefined && v !== false && !(Array.isArray(v) && v.length === 0),
  );
  return kept.length > 0 ? (Object.fromEntries(kept) as Axes) : undefined;
}

function useAxes() {
  const store = useWorkbenchStore();
  const axes = useWorkbench((s) => s.documents.project.axes) ?? {};
  return {
    axes,
    set: (next: Partial<Axes>) =>
      edit(store, stepOf('screen.axes'), ({ project }) => {
        const after = tidied({ ...project.axes, ...next });
        if (after) project.axes = after;
        else delete project.axes;
      }),
    setLive: (windows: WindowRange) =>
      editLive(store, stepOf('screen.axes'), ({ project }) => {
        if (countWindows(windows) <= MOST_WINDOWS) project.axes = { ...project.axes, windows };
      }),
    onCommit: () => commit(store),
  };
}

interface SharesProps {
  label: string;
  all: readonly number[];
  chosen: readonly number[];
  onChoose: (chosen: number[]) => void;
}

function Shares({ label, all, chosen, onChoose }: SharesProps) {
  return (
    <div role="group" aria-label={label}>
      <p className="quiet">{label}</p>
      {all.map((share) => (
        <Form.Check
          key={share}
          inline
          type="checkbox"
          id={`axis-${label}-${share}`}
          label={whole(share)}
          checked={chosen.includes(share)}
          onChange={(e) =>
            onChoose(
              e.target.checked ? [...chosen, share].sort((a, b) => a - b) : chosen.filter((s) => s !== share),
            )
          }
        />
      ))}
    </div>
  );
}

function WindowFields({
  windows,
  set,
  onCommit,
}: {
  windows: WindowRange;
  set: (w: WindowRange) => void;
  onCommit: () => void;
}) {
  const field = (label: string, value: number, next: (v: number) => WindowRange, unit = 'lu') => (
    <NumberField
      label={label}
      unit={unit}
      min={0.5}
      max={10_000}
      value={value}
      onChange={(v) => set(next(v))}
      onCommit={onCommit}
    />
  );
  const { width, height, step, density } = windows;
  return (
    <>
      {field('Width from', width.low, (low) => ({
        ...windows,
        width: { ...width, low: Math.min(low, width.high) },
      }))}
      {field('to', width.high, (high) => ({
        ...windows,
        width: { ...width, high: Math.max(high, width.low) },
      }))}
      {field('Height from', height.low, (low) => ({
        ...windows,
        height: { ...height, low: Math.min(low, height.high) },
      }))}
      {field('to', height.high, (high) => ({
        ...windows,
        height: { ...height, high: Math.max(high, height.low) },
      }))}
      {field('In steps of', step, (next) => ({ ...windows, step: Math.max(10, next) }))}
      {field('Px per lu', density, (next) => ({ ...windows, density: Math.min(8, Math.max(0.5, next)) }), '')}
      <p className="quiet figures">{countOf(countWindows(windows), 'window')}</p>
    </>
  );
}

/** What screens are looked at in besides, all of it off until it is asked for. */
export function AxesPart() {
  const { axes, set, setLive, onCommit } = useAxes();
  const { length } = useCounted();
  return (
    <fieldset className="axes">
      <legend>Looked at as well</legend>
      <Form.Check
        type="checkbox"
        id="axis-upside-down"
        label="upside down"
        checked={axes.upsideDown ?? false}
        onChange={(e) => set({ upsideDown: e.target.checked })}
      />
      <Shares
        label="with text at"
        all={TEXT_SIZES}
        chosen={axes.textSizes ?? []}
        onChoose={(textSizes) => set({ textSizes })}
      />
      <Shares
        label="with the display zoomed to"
        all={ZOOMS}
        chosen={axes.zooms ?? []}
        onChoose={(zooms) => set({ zooms })}
      />
      <Form.Check
        type="checkbox"
        id="axis-windows"
        label="in windows of a range of sizes"
        checked={axes.windows !== undefined}
        onChange={(e) => set({ windows: e.target.checked ? FIRST_WINDOWS : undefined })}
      />
      {axes.windows && <WindowFields windows={axes.windows} set={setLive} onCommit={onCommit} />}
      <p className="quiet figures">{countCases(length)} in all.</p>
    </fieldset>
  );
}
