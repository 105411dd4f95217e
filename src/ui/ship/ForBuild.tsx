'use client';
import { Button } from 'react-bootstrap';
import { useState } from 'react';
import { buildLines } from '@/formats/build-line';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { copyText } from '../parts/clipboard';
import { useTargets } from './useSheet';

/** The line that judges this project where nobody looks, and what its end means. */
export function ForBuild() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project);
  const { target } = useTargets();
  const [copied, setCopied] = useState(false);
  const source = useWorkbench((s) => s.source);
  const { exported, check } = buildLines(project, target.id, source);
  const copy = () =>
    copyText(check).then(
      () => setCopied(true),
      () =>
        store.setState({ message: 'The line could not be copied: the browser does not let this page copy.' }),
    );
  return (
    <section aria-labelledby="for-build">
      <h2 id="for-build">For the build</h2>
      <p className="quiet">Once, and whenever the project has changed, from the store into a folder:</p>
      <pre tabIndex={0} aria-label="The line that writes the folder">
        {exported}
      </pre>
      <p className="quiet">In the build, without a browser, a server or a network:</p>
      <pre tabIndex={0} aria-label="The line for the build">
        {check}
      </pre>
      <Button variant="quiet" size="sm" onClick={() => void copy()}>
        copy line
      </Button>
      <span role="status" className="quiet">
        {copied && ' copied'}
      </span>
      <p className="quiet">
        It ends with 0 where nothing fails, with 1 where something does, and with 2 where it could not be
        checked. Warnings fail too without <code>--fail-on fail</code>; <code>--as sarif</code> writes what is
        shown beside code.
      </p>
    </section>
  );
}
