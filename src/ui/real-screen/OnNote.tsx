'use client';
import { Button } from 'react-bootstrap';
import type { RealScreens } from '@/formats/real-screen/shown';
import { Choices } from '../parts/Choices';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { useRealScreens, useRealScreensState, type Shows } from './real-screens';
import { useLeft } from './useLeft';

const SHOWS = [
  { value: 'scene', label: 'the open scene' },
  { value: 'launch', label: 'the launch' },
] as const satisfies { value: Shows; label: string }[];

/** What real screens show; a launch where there is one. */
function ShowsChoice() {
  const { show } = useRealScreens();
  const shows = useRealScreensState((s) => s.shows);
  const hasLaunch = useWorkbench((s) => (s.documents.project.launches?.length ?? 0) > 0);
  if (!hasLaunch) return null;
  return <Choices label="They show" options={SHOWS} value={shows} onChoose={show} />;
}

function Note({ screens }: { screens: Extract<RealScreens, { on: true }> }) {
  const { switchOff } = useRealScreens();
  const left = useLeft(screens.until);
  const look = useLook();
  const lens = useWorkbench((s) => s.view.lens);
  return (
    <div className="signed-note on-note" role="note">
      <span>
        Real screens are let in for <span className="figures">{left}</span> more;{' '}
        {screens.visitors.length === 0
          ? 'none has come yet'
          : `${screens.visitors.length} ${screens.visitors.length === 1 ? 'has' : 'have'} come`}
        .
      </span>
      <ShowsChoice />
      {lens !== 'ship' && (
        <Button variant="quiet" size="sm" onClick={() => look({ lens: 'ship' })}>
          the address, and what was read
        </Button>
      )}
      <Button variant="quiet" size="sm" onClick={() => void switchOff()}>
        switch off
      </Button>
    </div>
  );
}

/** Says on every lens that real screens are let in, and ends it. */
export function OnNote() {
  const screens = useRealScreensState((s) => s.screens);
  return screens?.on ? <Note screens={screens} /> : null;
}
