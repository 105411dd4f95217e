'use client';
import { useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { isWhole, measuredScreen, sayHeld, sayUnread, unusable, type Reading } from '@/core/screens/measured';
import type { Screen } from '@/core/screens/screen';
import { kindName } from '@/core/screens/words';
import { sayDensity, sayNumber, saySize } from '@/core/words/numbers';
import type { Visitor } from '@/formats/real-screen/shown';
import { useWorkbench } from '../state/context';
import { useScreenEdits } from '../state/useSets';
import { useRealScreens } from './real-screens';

/** What was read in each position. */
function Readings({ readings }: { readings: readonly Reading[] }) {
  return (
    <div className="scrolls">
      <table className="figures visitor-figures">
        <thead>
          <tr>
            {['Held', 'Screen, lu', 'Window, lu', 'px', 'px per lu', 'Insets: top, right, bottom, left'].map(
              (h) => (
                <th scope="col" key={h}>
                  {h}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {readings.map((r) => (
            <tr key={r.rotation}>
              <th scope="row">{sayHeld(r)}</th>
              <td>{saySize(r.screen)}</td>
              <td>{isWhole(r) ? 'all of it' : saySize(r.window)}</td>
              <td>{saySize(r.windowPx)}</td>
              <td>{sayDensity(r.density)}</td>
              <td>
                {[r.insets.top, r.insets.right, r.insets.bottom, r.insets.left].map(sayNumber).join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Adds the screen that was read to the project, or brings it up to what was read since. */
function AddIt({ screen }: { screen: Screen }) {
  const { save } = useScreenEdits();
  const there = useWorkbench((s) => s.documents.project.screens.find((o) => o.id === screen.id));
  const [label, setLabel] = useState(screen.label);
  const name = label.trim();
  if (
    there &&
    JSON.stringify({ ...there, label: '', weight: 0 }) === JSON.stringify({ ...screen, label: '', weight: 0 })
  )
    return <p className="outcome-clear">“{there.label}” is a screen of the project.</p>;
  if (there)
    return (
      <Button
        size="sm"
        variant="primary"
        onClick={() => save({ ...screen, label: there.label, weight: there.weight })}
      >
        Take what was read since into “{there.label}”
      </Button>
    );
  return (
    <Form
      className="sign-form"
      onSubmit={(e) => {
        e.preventDefault();
        save({ ...screen, label: name });
      }}
    >
      <label className="sign-why">
        <span className="quiet">What it is called in the project</span>
        <Form.Control size="sm" maxLength={200} value={label} onChange={(e) => setLabel(e.target.value)} />
      </label>
      <Button type="submit" size="sm" variant="primary" disabled={name === ''}>
        Add this screen to the project
      </Button>
    </Form>
  );
}

/** The screen that readings come to, under an id of its visit. */
function useMeasured({ id, readings }: Visitor): Screen | null {
  const read = JSON.stringify(readings);
  return useMemo(() => {
    const all = JSON.parse(read) as Reading[];
    if (all.length === 0) return null;
    const screen = measuredScreen(all, { id: `measured-${id}`, label: '' });
    return { ...screen, label: `${kindName(screen)} ${screen.width} × ${screen.height}, measured` };
  }, [id, read]);
}

/** A real screen that has come: what was read off it, and what can be done with it. */
export function VisitorItem({ visitor }: { visitor: Visitor }) {
  const { sendAway } = useRealScreens();
  const screen = useMeasured(visitor);
  const { readings, connected } = visitor;
  const why = screen && unusable(readings);
  return (
    <li>
      <p className="visitor-head">
        <b>
          {screen
            ? `${screen.width} × ${screen.height} lu at ${sayDensity(screen.density)} px per lu`
            : 'A screen that is being read'}
        </b>{' '}
        <span className="quiet">
          {connected ? 'shows what you look at' : 'does not answer at the moment'}
        </span>
        <Button variant="quiet" size="sm" onClick={() => void sendAway(visitor.id)}>
          send away
        </Button>
      </p>
      {screen && (
        <>
          <Readings readings={readings} />
          <ul className="visitor-unread quiet">
            {sayUnread(readings).map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
          {why ? (
            <p className="problem">No screen can be like this: {why}</p>
          ) : (
            <AddIt key={screen.label} screen={screen} />
          )}
        </>
      )}
    </li>
  );
}
