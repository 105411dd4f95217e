'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { FIT_PRESETS, withPreset } from '@/core/fit/presets';
import { OUTCOMES } from '@/core/measure/judge';
import { presetOfAll, withFits } from '@/core/scene/rules';
import { SCREEN_GROUPS } from '@/core/screens/kinds';
import { ORIENTATIONS } from '@/core/screens/turn';
import { sceneOf } from '../state/workbench';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { backgroundOf, edit, inLayer } from '../state/edit';
import { useFinding } from '../state/useFoundCases';
import { useLook } from '../state/look';
import type { View } from '../state/view';
import { FIT_WORDS, ORIENTATION_LABELS, OUTCOME_SHAPES } from '../words';
import { Choices } from '../parts/Choices';
import { useRoving } from '../parts/useRoving';

interface FilterProps {
  label: string;
  all: string;
  value: string | undefined;
  options: readonly (readonly [string, string])[];
  onChange: (value: string | undefined) => void;
}

function Filter({ label, all, value, options, onChange }: FilterProps) {
  return (
    <Form.Select
      size="sm"
      aria-label={label}
      className={value ? 'filter-on' : undefined}
      value={value ?? ''}
      onChange={(e) => onChange(e.target.value || undefined)}
    >
      <option value="">{all}</option>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  );
}

/** That only the cases of one finding are shown, with the way back to it. */
function FindingFilter() {
  const store = useWorkbenchStore();
  const finding = useFinding();
  if (!finding) return null;
  return (
    <Button
      bsPrefix="part"
      title="Back to the list of findings"
      onClick={() => store.setState(({ view }) => ({ view: { ...view, lens: 'findings' } }))}
    >
      <span className={`outcome-${finding.outcome}`}>{OUTCOME_SHAPES[finding.outcome]}</span>{' '}
      {finding.subject.name} {finding.word}
    </Button>
  );
}

/** The fit of the background, tried on all screens at once. */
function Fits() {
  const store = useWorkbenchStore();
  const background = useWorkbench((s) => backgroundOf(sceneOf(s)));
  if (!background) return null;
  return (
    <Choices
      label={background.name}
      options={FIT_PRESETS.map((value) => ({ value, ...FIT_WORDS[value] }))}
      value={presetOfAll(background) ?? undefined}
      onChoose={(preset) =>
        edit(
          store,
          stepOf('layer.fit', background.name, FIT_WORDS[preset].label),
          inLayer(store, background.id, (layer) => {
            if (layer.kind === 'picture')
              Object.assign(
                layer,
                withFits(layer, (f) => withPreset(f, preset)),
              );
          }),
        )
      }
    />
  );
}

type SetView = ReturnType<typeof useLook>;

/** Which kinds, orientations and outcomes alone are shown. */
function Filters({ view, set }: { view: View; set: SetView }) {
  return (
    <>
      <Filter
        label="Kind"
        all="all kinds"
        value={view.kind}
        options={SCREEN_GROUPS.map((g) => [g.id, g.label])}
        onChange={(kind) => set({ kind: kind as View['kind'] })}
      />
      <Filter
        label="Orientation"
        all="all orientations"
        value={view.orientation}
        options={ORIENTATIONS.filter((o) => o !== 'portrait-secondary').map((o) => [
          o,
          ORIENTATION_LABELS[o],
        ])}
        onChange={(orientation) => set({ orientation: orientation as View['orientation'] })}
      />
      <Filter
        label="Outcome"
        all="all outcomes"
        value={view.outcome}
        options={OUTCOMES.map((o) => [o, `${OUTCOME_SHAPES[o]} ${o}`])}
        onChange={(outcome) => set({ outcome: outcome as View['outcome'] })}
      />
    </>
  );
}

/** Whether a few cases or all of them are shown, and in which order. */
function Shown({ view, set }: { view: View; set: SetView }) {
  const all = useWorkbench((s) => s.cases.filter((c) => c.appearance === s.view.appearance).length);
  return (
    <>
      <Choices
        label="Cases shown"
        hideLabel
        options={[
          {
            value: 'telling',
            label: 'telling cases',
            title: 'Of all that are alike the worst, with their number',
          },
          { value: 'all', label: `all ${all}` },
        ]}
        value={view.cases}
        onChoose={(cases) => set({ cases })}
      />
      <Form.Select
        size="sm"
        aria-label="Order"
        value={view.sort}
        onChange={(e) => set({ sort: e.target.value as View['sort'] })}
      >
        <option value="worst">worst first</option>
        <option value="ratio">by ratio</option>
      </Form.Select>
    </>
  );
}

/** The filters, folded away until somebody wants them or one is on. */
function MoreFilters({ view, set }: { view: View; set: SetView }) {
  const [wanted, setWanted] = useState(false);
  const isOn = Boolean(view.kind ?? view.orientation ?? view.outcome);
  return (
    <>
      <Button
        variant="quiet"
        size="sm"
        aria-expanded={wanted || isOn}
        disabled={isOn}
        onClick={() => setWanted(!wanted)}
      >
        filters
      </Button>
      {(wanted || isOn) && (
        <span className="more-filters">
          <Filters view={view} set={set} />
        </span>
      )}
    </>
  );
}

const NO_FILTER = {
  kind: undefined,
  orientation: undefined,
  outcome: undefined,
  text: undefined,
  ratios: undefined,
  finding: undefined,
} as const satisfies Partial<View>;

/** What is tried on all screens at once, and which of them are shown. */
export function FieldTools() {
  const view = useWorkbench((s) => s.view);
  const set = useLook();
  const roving = useRoving<HTMLDivElement>();
  const isFiltered = Object.keys(NO_FILTER).some((name) => view[name as keyof typeof NO_FILTER]);
  return (
    <div className="field-tools">
      <Fits />
      <div className="filters" hidden={view.middle !== 'field'} role="group" aria-label="Screens shown">
        <Shown view={view} set={set} />
        <Form.Control
          size="sm"
          type="search"
          aria-label="Search: size, ratio, kind or name"
          placeholder="390x844, 20:9, tablet"
          value={view.text ?? ''}
          maxLength={100}
          onChange={(e) => set({ text: e.target.value || undefined })}
        />
        <div className="filters" {...roving}>
          <Form.Check
            type="checkbox"
            id="guides"
            label="guides"
            title="Safe area and boxes on all screens"
            checked={view.guides ?? false}
            onChange={(e) => set({ guides: e.target.checked || undefined })}
          />
          <MoreFilters view={view} set={set} />
          <FindingFilter />
          {isFiltered && (
            <Button variant="quiet" size="sm" onClick={() => set(NO_FILTER)}>
              show all
            </Button>
          )}
        </div>
      </div>
    </div>
  );
}
