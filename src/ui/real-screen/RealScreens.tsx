'use client';
import dynamic from 'next/dynamic';
import { useEffect, useState, type ReactNode } from 'react';
import { useWorkbench } from '../state/context';
import { createRealScreens, RealScreensProvider } from './real-screens';

/** How often the page looks who has come, while it is switched on. */
const LOOK_MS = 500;
/** How long the page is left to itself before it looks whether it is on. */
const REST_MS = 2000;

const Feed = dynamic(() => import('./Feed').then((m) => m.Feed), { ssr: false });

/** Knows which real screens there are, and draws for them whatever is looked at. */
export function RealScreens({ children }: { children: ReactNode }) {
  const project = useWorkbench((s) => s.documents.project.id);
  const isSigned = useWorkbench((s) => s.signed !== null);
  const [known] = useState(() => createRealScreens(project));
  const [isOn, setIsOn] = useState(false);
  useEffect(() => known.store.subscribe(({ screens }) => setIsOn(screens?.on === true)), [known]);
  useEffect(() => {
    if (isSigned) return undefined;
    // A server that is away is said elsewhere; it is asked again.
    const look = () => void known.refresh().catch(() => {});
    const timer = isOn ? setInterval(look, LOOK_MS) : setTimeout(look, REST_MS);
    return () => clearInterval(timer);
  }, [known, isOn, isSigned]);
  return (
    <RealScreensProvider value={known}>
      {children}
      {isOn && <Feed />}
    </RealScreensProvider>
  );
}
