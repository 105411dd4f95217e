'use client';
import { Button, Form } from 'react-bootstrap';
import { FIT_PRESETS, withPreset } from '@/core/fit/presets';
import { OUTCOMES } from '@/core/measure/judge';
import { presetOfAll, withFits } from '@/core/scene/rules';
import { KIND_GROUPS } from '@/core/screens/kinds';
import { ORIENTATIONS } from '@/core/screens/turn';
import { sceneOf } from '../state/workbench';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { backgroundOf, edit, inLayer } from '../state/edit';
import { useFinding } from './useFoundCases';
import type { View } from '../state/view';
import { FIT_WORDS, ORIENTATION_LABELS, OUTCOME_SHAPES } from '../words';
import { Choices } from '../parts/Choices';

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

/** What is tried on all screens at once, and which of them are shown. */
export function FieldTools() {
  const store = useWorkbenchStore();
  const background = useWorkbench((s) => backgroundOf(sceneOf(s)));
  const view = useWorkbench((s) => s.view);
  const set = (change: Partial<View>) => store.setState({ view: { ...store.getState().view, ...change } });
  const filtered = view.kind ?? view.orientation ?? view.outcome ?? view.text ?? view.ratios ?? view.finding;
  return (
    <div className="field-tools">
      {background && (
        <Choices
          label={background.name}
          options={FIT_PRESETS.map((value) => ({ value, ...FIT_WORDS[value] }))}
          value={presetOfAll(background) ?? undefined}
          onChoose={(preset) =>
            edit(
              store,
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
      )}
      <div className="filters" hidden={view.middle !== 'field'} role="group" aria-label="Screens shown">
        <Filter
          label="Kind"
          all="all kinds"
          value={view.kind}
          options={KIND_GROUPS.map((g) => [g.id, g.label])}
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
        <Form.Control
          size="sm"
          type="search"
          aria-label="Text in size or name"
          placeholder="size or name"
          value={view.text ?? ''}
          maxLength={100}
          onChange={(e) => set({ text: e.target.value || undefined })}
        />
        <Form.Check
          type="checkbox"
          id="guides"
          label="guides"
          title="Safe area and boxes on all screens"
          checked={view.guides ?? false}
          onChange={(e) => set({ guides: e.target.checked || undefined })}
        />
        <FindingFilter />
        {filtered && (
          <Button
            variant="quiet"
            size="sm"
            onClick={() =>
              set({
                kind: undefined,
                orientation: undefined,
                outcome: undefined,
                text: undefined,
                ratios: undefined,
                finding: undefined,
              })
            }
          >
            show all
          </Button>
        )}
      </div>
    </div>
  );
}
