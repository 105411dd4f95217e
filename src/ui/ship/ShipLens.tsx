'use client';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { scenesInOrder } from '@/core/project/documents';
import { FilesPart } from './FilesPart';
import { ForBuild } from './ForBuild';
import { NotChecked } from './NotChecked';
import { SignOffPart } from '../sign-off/SignOffPart';
import { RealScreensPart } from '../real-screen/RealScreensPart';
import { SheetPart } from './SheetPart';
import { TakeAlong } from './TakeAlong';
import { useFileNaming } from './useFileNaming';
import { useReview } from './useReview';
import { useTargets } from './useSheet';
import { Verdict } from './Verdict';

const PARTS = [
  { id: 'verdict', label: 'Verdict' },
  { id: 'sign-off', label: 'Sign-off' },
  { id: 'real-screens', label: 'Real screens' },
  { id: 'sheet', label: 'Sheet' },
  { id: 'files', label: 'Files' },
  { id: 'take-along', label: 'Take along' },
  { id: 'for-build', label: 'For the build' },
  { id: 'not-checked', label: 'Not checked' },
] as const;

interface PickProps {
  label: string;
  value: string;
  options: readonly { id: string; name: string }[];
  onChoose: (id: string) => void;
}

function Pick({ label, value, options, onChoose }: PickProps) {
  return (
    <label className="ship-pick">
      <span className="quiet">{label}</span>
      <select className="form-select form-select-sm" value={value} onChange={(e) => onChoose(e.target.value)}>
        {options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** The parts of the page, and what they are for. */
function Contents() {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const { targets, target } = useTargets();
  return (
    <nav className="ship-contents" aria-label="Ship">
      <ul className="ship-list">
        {PARTS.map(({ id, label }) => (
          <li key={id}>
            <a href={`#${id}`}>{label}</a>
          </li>
        ))}
      </ul>
      <Pick
        label="For which screens"
        value={target.id}
        options={targets.map((t) => ({ id: t.id, name: `${t.name} (${t.screens.length})` }))}
        onChoose={(id) =>
          store.setState(({ view }) => ({ view: { ...view, target: id === 'all' ? undefined : id } }))
        }
      />
      <Pick
        label="Scene"
        value={sceneId}
        options={scenesInOrder(documents)}
        onChoose={(id) => store.setState({ sceneId: id })}
      />
    </nav>
  );
}

/** What was signed off is read: its verdict, and what it says of each scene. */
function SignedShip() {
  const judged = useReview();
  return (
    <div className="ship">
      <main className="ship-page" id="main">
        <Verdict {...judged} />
        <SheetPart />
        <NotChecked review={judged.review} />
      </main>
    </div>
  );
}

/** Whether the project is ready, everything that is typed into the app, and all that can be taken along. */
function PresentShip() {
  const judged = useReview();
  const naming = useFileNaming();
  return (
    <div className="ship">
      <Contents />
      <main className="ship-page" id="main">
        <Verdict {...judged} />
        <SignOffPart />
        <RealScreensPart />
        <SheetPart />
        <FilesPart naming={naming} />
        <NotChecked review={judged.review} />
      </main>
      <aside className="ship-side">
        <TakeAlong review={judged.review} naming={naming} />
        <ForBuild />
      </aside>
    </div>
  );
}

/** Whether the project is ready, and what leaves the tool; of a project as it was signed off, what was said then. */
export function ShipLens() {
  const signed = useWorkbench((s) => s.signed);
  return signed ? <SignedShip /> : <PresentShip />;
}
