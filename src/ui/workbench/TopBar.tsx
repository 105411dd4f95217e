'use client';
import Link from 'next/link';
import { APPEARANCES } from '@/core/scene/values';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { sceneOf } from '../state/workbench';
import { APPEARANCE_LABELS } from '../words';
import { Choices } from './Choices';
import { Mark } from './Mark';
import { Tally } from './Tally';

export function TopBar() {
  const store = useWorkbenchStore();
  const projectName = useWorkbench((s) => s.documents.project.name);
  const sceneName = useWorkbench((s) => sceneOf(s).name);
  const view = useWorkbench((s) => s.view);
  return (
    <header className="top">
      <Link className="home" href="/">
        <Mark />
        Coulee
      </Link>
      <h1 className="where">
        {projectName} / <strong>{sceneName}</strong>
      </h1>
      <div className="top-end">
        <Choices
          label="Appearance"
          options={APPEARANCES.map((a) => ({ value: a, label: APPEARANCE_LABELS[a] }))}
          value={view.appearance}
          onChoose={(appearance) => store.setState({ view: { ...view, appearance } })}
        />
        <Tally />
      </div>
    </header>
  );
}
