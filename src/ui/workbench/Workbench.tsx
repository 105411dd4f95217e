'use client';
import { useEffect, useMemo, useState } from 'react';
import { CloseUp } from '../screens/CloseUp';
import { Field } from '../screens/Field';
import { FieldTools } from '../screens/FieldTools';
import { createPixelStore, widthOfFile } from '../drawing/pixels';
import { PixelProvider } from '../drawing/CaseCanvas';
import { WorkbenchProvider } from '../state/context';
import { watchSurvey } from '../state/survey-client';
import { writeView } from '../state/view';
import { createWorkbench, type WorkbenchStart } from '../state/workbench';
import { TopBar } from './TopBar';

/** One scene of a project, open for work. */
export function Workbench({ start }: { start: WorkbenchStart }) {
  const [store] = useState(() => createWorkbench(start));
  const pixels = useMemo(
    () => createPixelStore((hash) => widthOfFile(store.getState().documents.project)(hash)),
    [store],
  );

  useEffect(() => watchSurvey(store), [store]);
  useEffect(
    () =>
      store.subscribe((state, before) => {
        if (state.view === before.view) return;
        window.history.replaceState(null, '', window.location.pathname + writeView(state.view));
      }),
    [store],
  );

  return (
    <WorkbenchProvider value={store}>
      <PixelProvider value={pixels}>
        <div className="workbench">
          <TopBar />
          <div className="columns">
            <main className="middle" id="main">
              <FieldTools />
              <Field />
            </main>
            <CloseUp />
          </div>
        </div>
      </PixelProvider>
    </WorkbenchProvider>
  );
}
