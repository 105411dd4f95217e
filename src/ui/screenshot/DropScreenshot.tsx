'use client';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Size } from '@/core/geometry/rect';
import { casesOf, type Case } from '@/core/screens/cases';
import { DENSITIES, impossibleBecause } from '@/core/screens/check';
import { screenOf } from '@/core/screens/own';
import { countOf } from '@/core/words/words';
import { caseName } from '@/core/screens/words';
import { casesOfSize } from '@/core/screenshot/of-size';
import { APPEARANCES } from '@/core/values/values';
import { newId } from '@/workers/new-id';
import { FileField } from '../parts/FileField';
import { Sent } from '../parts/Sent';
import { useDropTarget } from '../parts/useDropTarget';
import { useScreenEdits } from '../state/useSets';
import { useWorkbench } from '../state/context';
import { APPEARANCE_LABELS } from '../words';
import { useScreenshots } from './useScreenshots';

/** A screenshot of which it is asked which case it is of. */
interface Taken {
  file: File;
  size: Size;
}

async function sizeOf(file: File): Promise<Size> {
  const bitmap = await createImageBitmap(file);
  const { width, height } = bitmap;
  bitmap.close();
  return { width, height };
}

const nameIn = (c: Case) => `${caseName(c)}, ${APPEARANCE_LABELS[c.appearance].toLowerCase()}`;

interface ChooseProps {
  cases: readonly Case[];
  onChoose: (id: string) => void;
}

/** Which of several cases a screenshot is of. */
function ChooseCase({ cases, onChoose }: ChooseProps) {
  const [id, setId] = useState(cases[0]!.id);
  return (
    <p className="real-acts">
      <label>
        <span className="quiet">It may be of </span>
        <select className="form-select form-select-sm" value={id} onChange={(e) => setId(e.target.value)}>
          {cases.map((c) => (
            <option key={c.id} value={c.id}>
              {nameIn(c)}
            </option>
          ))}
        </select>
      </label>
      <Button size="sm" variant="primary" onClick={() => onChoose(id)}>
        hold it against this
      </Button>
    </p>
  );
}

/** A screen of the size of a screenshot, held upright where it is higher than wide. */
function screenOfShot({ width, height }: Size, density: number) {
  const px = { width: Math.min(width, height), height: Math.max(width, height) };
  const lu = `${Math.round(px.width / density)} × ${Math.round(px.height / density)}`;
  const label = `Screen ${lu}, of a screenshot`;
  return screenOf({ id: `own-${newId()}`, label, px, density, weight: 1, origin: 'custom' });
}

/** A screen that the project does not have yet, of the size of a screenshot. */
function AddScreen({ size, onAdded }: { size: Size; onAdded: (caseId: string) => void }) {
  const { save } = useScreenEdits();
  const appearance = useWorkbench((s) => s.view.appearance);
  const [density, setDensity] = useState(3);
  const problem =
    Number.isFinite(density) && density > 0
      ? impossibleBecause(screenOfShot(size, density))
      : 'Say how many px a lu has.';
  return (
    <Form
      className="real-acts"
      onSubmit={(e) => {
        e.preventDefault();
        const screen = screenOfShot(size, density);
        save(screen);
        onAdded(`${screen.id}.${size.width > size.height ? 90 : 0}.${appearance}`);
      }}
    >
      <span>
        No screen of the project has {size.width} × {size.height} px.
      </span>
      <label>
        <span className="quiet">px per lu </span>
        <Form.Control
          size="sm"
          type="number"
          min={DENSITIES.low}
          max={DENSITIES.high}
          step="any"
          value={Number.isNaN(density) ? '' : density}
          onChange={(e) => setDensity(Number(e.target.value || Number.NaN))}
        />
      </label>
      <Button size="sm" type="submit" variant="primary" disabled={problem !== null}>
        Add a screen of this size, and hold it against that
      </Button>
      {problem && <span className="problem">{problem}</span>}
    </Form>
  );
}

/** A file that was dropped or chosen, until it is known which case it is of. */
function useDropped() {
  const kept = useScreenshots();
  const screens = useWorkbench((s) => s.sceneScreens);
  const appearance = useWorkbench((s) => s.view.appearance);
  const [[taken, ...later], setTaken] = useState<readonly Taken[]>([]);
  const [unread, setUnread] = useState<string | null>(null);
  const hold = (file: File, caseId: string) => {
    setTaken((all) => all.filter((one) => one.file !== file));
    void kept.take(file, caseId);
  };
  const look = async (file: File) => {
    const size = await sizeOf(file);
    const found = casesOfSize(casesOf(screens, [appearance]), size);
    if (found.length === 1) hold(file, found[0]!.id);
    else setTaken((all) => [...all, { file, size }]);
  };
  const choose = (files: Iterable<File>) => {
    setUnread(null);
    for (const file of files)
      look(file).catch(() => setUnread(`“${file.name}” is no picture that can be read.`));
  };
  const cases = taken ? casesOfSize(casesOf(screens, APPEARANCES), taken.size) : [];
  /** Those of the appearance that is looked at first. */
  const sorted = cases.toSorted(
    (a, b) => Number(b.appearance === appearance) - Number(a.appearance === appearance),
  );
  return { kept, taken, later: later.length, cases: sorted, problem: kept.problem ?? unread, choose, hold };
}

/** A real screenshot that is dropped on the project: its size finds the screen, or offers to add one. */
export function DropScreenshot() {
  const { kept, taken, later, cases, problem, choose, hold } = useDropped();
  const { over, target } = useDropTarget((data) => choose(data.files));
  if (kept.isReadOnly) return null;
  return (
    <div className={over ? 'shot-drop shot-drop-over' : 'shot-drop'} {...target}>
      <p className="quiet">
        Drop a screenshot of a real screen here, or{' '}
        <FileField
          label="choose a screenshot"
          accept="image/png,image/jpeg,image/webp"
          disabled={kept.reading !== null}
          onChoose={choose}
        />
      </p>
      <p className="quiet">Its size finds the screen; it is held against the open scene.</p>
      {taken && cases.length > 0 && (
        <ChooseCase key={taken.file.name} cases={cases} onChoose={(id) => hold(taken.file, id)} />
      )}
      {taken && cases.length === 0 && <AddScreen size={taken.size} onAdded={(id) => hold(taken.file, id)} />}
      {later > 0 && <p className="quiet">Next: {countOf(later, 'screenshot')} that came later.</p>}
      {kept.reading && <Sent reading={kept.reading} onCancel={kept.cancel} />}
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
