'use client';
import { useEffect, useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { PRODUCT_VERSION } from '@/core/review/version';
import { download } from '../parts/download';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useLook } from '../state/look';
import type { View } from '../state/view';
import type { WorkbenchState } from '../state/workbench';

/** Why a part of the page failed, with what it showed, for whoever looks into it. */
export function reasonFile(error: unknown, state: WorkbenchState, componentStack: string | null): string {
  const { documents, revision, sceneId, view } = state;
  const { name, message, stack } = error instanceof Error ? error : new Error(String(error));
  return JSON.stringify(
    {
      version: PRODUCT_VERSION,
      error: { name, message, stack },
      componentStack,
      view,
      scene: sceneId,
      revision,
      documents,
    },
    null,
    2,
  );
}

interface FailedProps extends FallbackProps {
  /** what failed, as it is called on the page */
  part: string;
  isMain: boolean;
  componentStack: string | null;
}

/** Stands in place of a part that failed: what happened, and the ways on. */
function Failed({ error, resetErrorBoundary, part, isMain, componentStack }: FailedProps) {
  const store = useWorkbenchStore();
  const look = useLook();
  const lens = useWorkbench((s) => s.view.lens);
  useEffect(() => console.error(error), [error]);
  const save = () => {
    const json = reasonFile(error, store.getState(), componentStack);
    download(`why ${part} failed.json`, new Blob([json], { type: 'application/json' }));
  };
  const Place = isMain ? 'main' : 'section';
  return (
    <Place className="part-failed" id={isMain ? 'main' : undefined} aria-label={part}>
      <h2>{part} has failed</h2>
      <p role="alert">
        {error instanceof Error ? error.message : String(error)} That is a fault of Coulee. What you changed
        is saved, or kept in this tab until it is; everything else goes on.
      </p>
      <p className="part-failed-ways">
        <Button variant="primary" size="sm" onClick={resetErrorBoundary}>
          Try again
        </Button>
        {lens !== 'screens' && (
          <Button variant="quiet" size="sm" onClick={() => look({ lens: 'screens', middle: 'field' })}>
            go to the screens
          </Button>
        )}
        <Button variant="quiet" size="sm" onClick={save}>
          save the reason as a file
        </Button>
      </p>
    </Place>
  );
}

interface Props {
  part: string;
  /** whether it is the main part of the page */
  isMain?: boolean;
  children: ReactNode;
}

/** What of a view and of the documents makes it worth trying a part again that failed. */
const triedBy = ({ lens, middle, order, open, show, case: caseId }: View) =>
  JSON.stringify([lens, middle, order, open, show, caseId]);

/** Keeps what goes wrong while a part is drawn within it; it is tried again once something else is looked at or changed. */
export function LensBoundary({ part, isMain = false, children }: Props) {
  const looked = useWorkbench((s) => triedBy(s.view));
  const scene = useWorkbench((s) => s.sceneId);
  const documents = useWorkbench((s) => s.documents);
  const [componentStack, setComponentStack] = useState<string | null>(null);
  return (
    <ErrorBoundary
      resetKeys={[looked, scene, documents]}
      onError={(_, info) => setComponentStack(info.componentStack ?? null)}
      fallbackRender={(props) => <Failed {...props} {...{ part, isMain, componentStack }} />}
    >
      {children}
    </ErrorBoundary>
  );
}
