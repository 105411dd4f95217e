'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { projectPixels, sizeOfFile } from '../drawing/pixels';
import { PixelProvider } from '../drawing/CaseCanvas';
import { isIcon } from '@/core/icons/slots';
import { EmptyProject } from '../import/EmptyProject';
import { ImportProvider } from '../import/ImportProvider';
import { SlotField } from '../icons/SlotField';
import { SlotTools } from '../icons/SlotTools';
import { SceneColumn } from '../scene/SceneColumn';
import { Columns } from '../parts/Columns';
import { DrawerWays } from '../parts/DrawerWays';
import { CloseUp } from '../screens/CloseUp';
import { Field } from '../screens/Field';
import { ValleyStrip } from '../valley/ValleyStrip';
import { FieldTools } from '../screens/FieldTools';
import { useWorkbench, useWorkbenchStore, WorkbenchProvider } from '../state/context';
import { labelOf } from '../state/lenses';
import { watchLost } from '../state/lost-files';
import { watchOutside } from '../state/outside';
import { watchSaving } from '../state/save-client';
import { watchSurvey } from '../state/survey-client';
import { MirrorNote } from '../parts/MirrorNote';
import { createWorkbench, sceneOf, type WorkbenchStart, type WorkbenchState } from '../state/workbench';
import type { Theme } from '../theme/theme';
import { Announcer } from './Announcer';
import { ConflictDialog } from './ConflictDialog';
import { KeysDialog } from './KeysDialog';
import { LensBoundary } from './LensBoundary';
import { LENS_VIEWS, loadAll, MIDDLE_VIEWS } from './lens-views';
import { LostFiles } from './LostFiles';
import { Message } from './Message';
import { OnNote } from '../real-screen/OnNote';
import { RealScreens } from '../real-screen/RealScreens';
import { SignedNote } from '../sign-off/SignedNote';
import { Title } from './Title';
import { TopBar } from './TopBar';
import { useAddress } from './useAddress';
import { useKeys } from './useKeys';

/** What is looked at: the rules, the field and the close-up, or the files of all pictures. */
function Lens() {
  const hasScene = useWorkbench((s) => sceneOf(s) !== undefined);
  const lens = useWorkbench((s) => s.view.lens);
  const slots = useWorkbench((s) => isIcon(sceneOf(s)));
  const isEnlarged = useWorkbench((s) => s.view.enlarged ?? false);
  if (!hasScene) return <EmptyProject />;
  if (lens !== 'screens') {
    const Opened = LENS_VIEWS[lens];
    return (
      <LensBoundary key={lens} part={`The lens “${labelOf(lens)}”`} isMain>
        <Opened />
      </LensBoundary>
    );
  }
  return (
    <Columns>
      <LensBoundary part="The column of rules">
        <SceneColumn />
      </LensBoundary>
      {/* The close-up is the main part of the page where it takes this one’s place. */}
      <main className="middle" id={isEnlarged ? undefined : 'main'}>
        <DrawerWays />
        <LensBoundary part="The view of the screens">
          {slots ? <SlotTools /> : <FieldTools />}
          <MirrorNote />
          {slots ? <SlotField /> : <Middle />}
        </LensBoundary>
      </main>
      <LensBoundary part="The close-up">
        <CloseUp />
      </LensBoundary>
    </Columns>
  );
}

/** The field under its strip, or what takes their place. */
function Middle() {
  const middle = useWorkbench((s) => s.view.middle);
  if (middle !== 'field') {
    const Opened = MIDDLE_VIEWS[middle];
    return <Opened />;
  }
  return (
    <>
      <ValleyStrip />
      <Field />
    </>
  );
}

/** Keeps a scene open while there is one: the first, when none was or when the open one is undone away. */
function useOpenScene(): void {
  const store = useWorkbenchStore();
  useEffect(() => {
    const openFirst = (state: WorkbenchState) => {
      if (sceneOf(state)) return;
      const [first = ''] = state.documents.project.scenes;
      if (first !== state.sceneId) store.setState({ sceneId: first });
    };
    openFirst(store.getState());
    return store.subscribe(openFirst);
  }, [store]);
}

/** Tab begins at the top of the page, also where one comes from another page of it whose link is gone. */
function useStartAtTop(): void {
  useEffect(() => {
    if (document.activeElement !== document.body) return;
    const root = document.documentElement;
    root.tabIndex = -1;
    root.focus({ preventScroll: true });
    root.removeAttribute('tabindex');
  }, []);
}

function Bench({ theme }: { theme: Theme }) {
  const [keys, setKeys] = useState(false);
  const help = useCallback(() => setKeys(true), []);
  useAddress();
  useOpenScene();
  useStartAtTop();
  useKeys(help);
  return (
    <RealScreens>
      <ImportProvider>
        <Title />
        <div className="workbench">
          <TopBar theme={theme} onHelp={help} />
          <LostFiles />
          <SignedNote />
          <OnNote />
          <Lens />
        </div>
        <Announcer />
        <Message />
        <ConflictDialog />
        <KeysDialog show={keys} onHide={() => setKeys(false)} />
      </ImportProvider>
    </RealScreens>
  );
}

/** A project, open for work. */
export function Workbench({ start, theme }: { start: WorkbenchStart; theme: Theme }) {
  const [store] = useState(() => createWorkbench(start));
  const [arrived] = useState(start.arrived);
  const pixels = useMemo(
    () => projectPixels((hash) => sizeOfFile(store.getState().documents.project)(hash)),
    [store],
  );
  useEffect(() => watchSurvey(store), [store]);
  useEffect(() => watchOutside(store), [store]);
  // What was signed off is never saved.
  const isSigned = start.signed != null;
  useEffect(() => (isSigned ? undefined : watchSaving(store, arrived)), [store, arrived, isSigned]);
  useEffect(() => (isSigned ? undefined : watchLost(store)), [store, isSigned]);
  useEffect(() => loadAll(), []);
  return (
    <WorkbenchProvider value={store}>
      <PixelProvider value={pixels}>
        <Bench theme={theme} />
      </PixelProvider>
    </WorkbenchProvider>
  );
}
