'use client';
import { useEffect, useState } from 'react';
import { Button } from 'react-bootstrap';
import { sayTicked } from '@/core/launch/checklist';
import type { RealScreens } from '@/formats/real-screen/shown';
import { DropScreenshot } from '../screenshot/DropScreenshot';
import { EvidenceList } from '../screenshot/EvidenceList';
import { useEvidence } from '../screenshot/useScreenshots';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { QrCode } from './QrCode';
import { useRealScreens, useRealScreensState } from './real-screens';
import { VisitorItem } from './VisitorItem';

interface LetInProps {
  networks: readonly string[];
  word: string;
}

/** Opens the port, in one of the networks that this machine is in. */
function LetIn({ networks, word }: LetInProps) {
  const { letIn } = useRealScreens();
  const busy = useRealScreensState((s) => s.busy);
  const [network, setNetwork] = useState<string | undefined>(undefined);
  return (
    <p className="real-acts">
      {networks.length > 1 && (
        <label>
          <span className="quiet">In the network of </span>
          <select
            className="form-select form-select-sm"
            value={network ?? networks[0]}
            onChange={(e) => setNetwork(e.target.value)}
          >
            {networks.map((n) => (
              <option key={n}>{n}</option>
            ))}
          </select>
        </label>
      )}
      <Button size="sm" variant="primary" disabled={busy} onClick={() => void letIn(network)}>
        {word}
      </Button>
    </p>
  );
}

/** The address by which one screen can come, or that it was used. */
function Address({ address }: { address: string | null }) {
  if (address === null)
    return <p className="quiet">The last address was used. A further screen takes a new one.</p>;
  return (
    <div className="real-address">
      <QrCode text={address} label="The address as a code for a camera" />
      <div>
        <p>Point the camera of the real screen here, or type the address there:</p>
        <p className="real-link figures">{address}</p>
        <p className="quiet">It is good for one screen, once. Both have to be in the same network.</p>
      </div>
    </div>
  );
}

function On({ screens }: { screens: Extract<RealScreens, { on: true }> }) {
  return (
    <>
      <Address address={screens.address} />
      <LetIn networks={screens.networks} word="A new address, and ten minutes more" />
      <ul className="visitors" aria-label="Real screens">
        {screens.visitors.map((v) => (
          <VisitorItem key={v.id} visitor={v} />
        ))}
      </ul>
    </>
  );
}

/** What was looked at on devices, and what real screenshots say. */
function Seen() {
  const look = useLook();
  const project = useWorkbench((s) => s.documents.project);
  const evidence = useEvidence();
  return (
    <>
      <p>
        The list for real devices: {sayTicked(project)} ticked.{' '}
        <Button variant="quiet" size="sm" onClick={() => look({ lens: 'launch', show: 'checks' })}>
          to the list
        </Button>
      </p>
      <EvidenceList label="Real screenshots" evidence={evidence} />
      <DropScreenshot />
    </>
  );
}

/** Lets real screens in, reads them, and has them show what is looked at here. */
export function RealScreensPart() {
  const { refresh } = useRealScreens();
  const screens = useRealScreensState((s) => s.screens);
  const problem = useRealScreensState((s) => s.problem);
  const [away, setAway] = useState(false);
  useEffect(() => void refresh().catch(() => setAway(true)), [refresh]);
  return (
    <section aria-labelledby="real-screens">
      <header className="ship-head">
        <h2 id="real-screens">On a real screen</h2>
        <span className="quiet">is measured, and shows the open scene or the launch while you change it</span>
      </header>
      {screens && !screens.on && (
        <>
          <p>
            A phone or tablet in the same network opens one page of this machine, on a port of its own that is
            open for ten minutes. It is sent what is drawn for it, and reaches nothing else of Coulee.
          </p>
          {screens.networks.length === 0 ? (
            <p className="problem">
              This machine is in no network. Connect it to the one that the real screen is in, and open this
              page anew.
            </p>
          ) : (
            <LetIn networks={screens.networks} word="Let a real screen in" />
          )}
        </>
      )}
      {screens?.on && <On screens={screens} />}
      <Seen />
      {(problem ?? (away && 'The server does not answer.')) && (
        <p className="problem" role="alert">
          {problem ?? 'The server does not answer.'}
        </p>
      )}
    </section>
  );
}
