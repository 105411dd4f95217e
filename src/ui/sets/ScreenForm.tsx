'use client';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { checkScreen } from '@/core/screens/check';
import { KINDS, type Screen } from '@/core/screens/screen';
import { saySize } from '@/core/words/numbers';
import { NumberField } from '../parts/NumberField';
import { kindWord } from '../words';
import { CutoutFields } from './CutoutFields';
import { InsetFields } from './InsetFields';
import { nothing, type PartProps } from './part-props';
import { ScreenDrawing } from './ScreenDrawing';
import { SizeFields } from './SizeFields';

interface Props {
  start: Screen;
  onSave: (screen: Screen) => void;
  onCancel: () => void;
}

/** CSS px that each drawing over the form may take. */
const DRAWN = { width: 150, height: 150 };

/** What it is called, which kind it is, and which files it takes. */
function WhatItIs({ screen, onChange }: PartProps) {
  return (
    <>
      <label className="sets-field">
        Name{' '}
        <Form.Control
          size="sm"
          value={screen.label}
          maxLength={200}
          onChange={(e) => onChange({ label: e.target.value })}
        />
      </label>
      <label className="sets-field">
        Kind{' '}
        <Form.Select
          size="sm"
          value={screen.kind}
          onChange={(e) => onChange({ kind: e.target.value as Screen['kind'] })}
        >
          {KINDS.map((k) => (
            <option key={k} value={k}>
              {kindWord(k)}
            </option>
          ))}
        </Form.Select>
      </label>
      <label className="sets-field">
        Takes files by{' '}
        <Form.Select
          size="sm"
          value={screen.family}
          onChange={(e) => onChange({ family: e.target.value as Screen['family'] })}
        >
          <option value="whole-number">scales of whole numbers: 1, 2, 3</option>
          <option value="density-class">density classes: 1, 1.5, 2, 3, 4</option>
        </Form.Select>
      </label>
      <Form.Check
        type="checkbox"
        id="own-rotates"
        label="It turns"
        checked={screen.rotates}
        onChange={(e) => onChange({ rotates: e.target.checked })}
      />
    </>
  );
}

/** How deep bars of the system are, lu; a bar of 0 lu is one that is not there. */
function BarDepths({ screen, onChange }: PartProps) {
  const { bars } = screen;
  const { status, gesture, buttons } = bars;
  const some = (lu: number) => (lu > 0 ? lu : null);
  const depths: [string, number, (lu: number) => Partial<Screen['bars']>][] = [
    ['Status bar, upright', status.portrait, (portrait) => ({ status: { ...status, portrait } })],
    ['Status bar, turned', status.landscape, (landscape) => ({ status: { ...status, landscape } })],
    ['Line to swipe', gesture ?? 0, (lu) => ({ gesture: some(lu) })],
    ['Buttons', buttons ?? 0, (lu) => ({ buttons: some(lu) })],
  ];
  return depths.map(([label, value, change]) => (
    <NumberField
      key={label}
      label={label}
      unit="lu"
      min={0}
      max={400}
      value={value}
      onChange={(lu) => onChange({ bars: { ...bars, ...change(lu) } })}
      onCommit={nothing}
    />
  ));
}

/** Depths of the bars, and what else there is to know. */
function Besides({ screen, onChange }: PartProps) {
  return (
    <fieldset>
      <legend>Bars, corners, weight</legend>
      <BarDepths {...{ screen, onChange }} />
      <NumberField
        label="Corner radius"
        unit="lu"
        min={0}
        max={400}
        value={screen.cornerRadius}
        onChange={(cornerRadius) => onChange({ cornerRadius })}
        onCommit={nothing}
      />
      <NumberField
        label="Weight"
        min={0}
        max={1e9}
        value={screen.weight}
        onChange={(weight) => onChange({ weight })}
        onCommit={nothing}
      />
      <NumberField
        label="Px per inch, 0 unknown"
        min={0}
        max={2000}
        value={screen.ppi ?? 0}
        onChange={(ppi) => onChange({ ppi: ppi > 0 ? ppi : undefined })}
        onCommit={nothing}
      />
    </fieldset>
  );
}

/** A screen of one’s own, figure by figure; what cannot be is said at once and is not saved. */
export function ScreenForm({ start, onSave, onCancel }: Props) {
  const [screen, setScreen] = useState(start);
  const onChange = (next: Partial<Screen>) => setScreen((now) => ({ ...now, ...next }));
  const problems = checkScreen(screen);
  const isImpossible = problems.some((p) => p.isImpossible) || screen.label.trim() === '';
  const parts = { screen, onChange };
  return (
    <Form
      className="screen-form"
      aria-label="A screen of your own"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isImpossible) onSave({ ...screen, label: screen.label.trim() });
      }}
    >
      <div className="screen-form-head">
        <h2>{saySize(screen)} lu</h2>
        <div className="sets-drawings">
          <ScreenDrawing screen={screen} room={DRAWN} />
          {screen.rotates && <ScreenDrawing screen={screen} rotation={90} room={DRAWN} />}
        </div>
        <div className="sets-problems" role="status">
          {screen.label.trim() === '' && <p className="outcome-fail">A screen has a name.</p>}
          {problems.map(({ text, isImpossible: no }) => (
            <p key={text} className={no ? 'outcome-fail' : 'outcome-warn'}>
              {no ? 'Not possible' : 'Unusual'}: {text}
            </p>
          ))}
        </div>
        <p className="sets-ways">
          <Button type="submit" variant="primary" size="sm" disabled={isImpossible}>
            save the screen
          </Button>
          <Button variant="quiet" size="sm" onClick={onCancel}>
            cancel
          </Button>
        </p>
      </div>
      <WhatItIs {...parts} />
      <SizeFields {...parts} />
      <InsetFields {...parts} />
      <CutoutFields {...parts} />
      <Besides {...parts} />
    </Form>
  );
}
