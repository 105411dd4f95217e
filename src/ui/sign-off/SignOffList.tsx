'use client';
import { Button } from 'react-bootstrap';
import { OUTCOME_SHAPES } from '@/core/measure/words';
import type { SignOffSummary } from '@/core/review/sign-off';
import { sayTime } from '@/core/words/words';
import { addressOf } from '@/formats/api/operation';
import { readSignOff } from '@/formats/api/sign-offs';
import { messageOf } from '../api';
import { FoundCounts } from '../parts/FoundCounts';
import { downloadFrom } from '../parts/download';
import { copyText } from '../parts/clipboard';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useLook } from '../state/look';
import type { Listed } from './useSignOffs';

/** How much of a digest is shown; all of it is copied. */
const SHOWN = 12;

/** What can be done with one: look at what has changed since, open it, take it along. */
function Acts({ signOff: { id, digest, by } }: { signOff: SignOffSummary }) {
  const store = useWorkbenchStore();
  const look = useLook();
  const project = useWorkbench((s) => s.documents.project.id);
  const sceneId = useWorkbench((s) => s.sceneId);
  const isOpen = useWorkbench((s) => s.view.since === id);
  const say = (message: string) => store.setState({ message });
  const copy = () =>
    copyText(digest).then(
      () => say('The digest was copied.'),
      () => say('The digest could not be copied: the browser does not let this page copy.'),
    );
  const take = () =>
    downloadFrom(addressOf(readSignOff, { project, signOff: id }), `sign-off-${id}.json`).catch(
      (e: unknown) => say(`The sign-off could not be taken along. ${messageOf(e)}`),
    );
  return (
    <>
      <Button
        variant={isOpen ? 'quiet' : 'primary'}
        size="sm"
        aria-expanded={isOpen}
        onClick={() => look({ since: isOpen ? undefined : id })}
      >
        {isOpen ? 'close' : 'what has changed since'}
      </Button>
      {/* Another document altogether: nothing of this page is kept. */}
      <a className="btn btn-quiet btn-sm" href={`/projects/${project}/${sceneId}?lens=ship&signed=${id}`}>
        open as it was
      </a>
      <Button
        variant="quiet"
        size="sm"
        aria-label={`take along the sign-off of ${by} as JSON`}
        onClick={() => void take()}
      >
        JSON
      </Button>
      <button
        type="button"
        className="copy-figure figures"
        title={`copy ${digest}`}
        aria-label={`copy the digest ${digest}`}
        onClick={() => void copy()}
      >
        {digest.slice(0, SHOWN)}…
      </button>
    </>
  );
}

/** Who has signed off what, the latest first. */
export function SignOffList({ list }: { list: readonly Listed[] }) {
  if (list.length === 0) return <p className="quiet">Nobody has signed this project off yet.</p>;
  return (
    <ul className="sign-offs" aria-label="Sign-offs">
      {list.map((entry) =>
        'fault' in entry ? (
          <li key={entry.id} className="outcome-fail">
            {OUTCOME_SHAPES.fail} {entry.fault}
          </li>
        ) : (
          <li key={entry.id}>
            <p>
              <b>{entry.signOff.by}</b>{' '}
              <span className="figures quiet">
                {sayTime(entry.signOff.at)}, revision {entry.signOff.revision}
              </span>{' '}
              <span className="figures">
                {entry.signOff.found ? (
                  <FoundCounts found={entry.signOff.found} />
                ) : (
                  <span className="quiet">judged by another version</span>
                )}
              </span>
              {entry.signOff.why && <span className="sign-said">{entry.signOff.why}</span>}
            </p>
            <div className="sign-acts">
              <Acts signOff={entry.signOff} />
            </div>
          </li>
        ),
      )}
    </ul>
  );
}
