'use client';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { checkScreen } from '@/core/screens/check';
import { KINDS, type Screen } from '@/core/screens/screen';
import { saySize } from '@/core/words/numbers';
import { NumberField } from '../scene/editors/NumberField';
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

/** Depths of the bars, lu, and what else there is to know. */
function Besides({ screen, onChange }: PartProps) {
  const { bars } = screen;
  const depth = (label: string, value: number, set: (lu: number) => Screen['bars']) => (
    <NumberField
      label={label}
      unit="lu"
      min={0}
      max={400}
      value={value}
      onChange={(lu) => onChange({ bars: set(lu) })}
      onCommit={nothing}
    />
  );
  return (
    <fieldset>
      <legend>Bars, corners, weight</legend>
      {depth('Status bar, upright', bars.status.portrait, (portrait) => ({
        ...bars,
        status: { ...bars.status, portrait },
      }))}
      {depth('Status bar, turned', bars.status.landscape, (landscape) => ({
        ...bars,
        status: { ...bars.status, landscape },
      }))}
      {depth('Line to swipe', bars.gesture ?? 0, (lu) => ({ ...bars, gesture: lu > 0 ? lu : null }))}
      {depth('Buttons', bars.buttons ?? 0, (lu) => ({ ...bars, buttons: lu > 0 ? lu : null }))}
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
