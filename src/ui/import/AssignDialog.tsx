'use client';
import { stepOf } from '@/core/steps/commands';
import { countOf } from '@/core/words/words';
import { useMemo, useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { assign, clashes, takeFiles, type Arrived, type Assigned } from '@/core/pictures/assign';
import { unevenFiles } from '@/core/files/check';
import { DEFAULT_NAMING, Naming, sameName } from '@/core/pictures/naming';
import { newId } from '@/workers/new-id';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { AssignRow } from './AssignRow';
import { guessRoles, hasBackgroundIn, newScene, placeIn, type ShownAs } from '@/core/project/place-picture';

const LISTS = [
  ['density', 'Density'],
  ['dark', 'For dark'],
  ['light', 'For light'],
  ['portrait', 'For portrait'],
  ['landscape', 'For landscape'],
] as const satisfies readonly (readonly [keyof Naming, string])[];

const COLUMNS = ['File', 'Picture', 'Cut', 'Appearance', 'px per lu', 'Shown as', 'Found'] as const;

const listOf = (text: string) =>
  text
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean);

/** How names are read. What is not a pattern is said, and changes nothing. */
function NamingFields({ naming, onChange }: { naming: Naming; onChange: (naming: Naming) => void }) {
  const [typed, setTyped] = useState<Partial<Record<keyof Naming, string>>>({});
  return (
    <details className="naming">
      <summary>how names are read</summary>
      {LISTS.map(([key, label]) => {
        const text = typed[key] ?? naming[key].join(', ');
        const parsed = Naming.safeParse({ ...naming, [key]: listOf(text) });
        return (
          <div className="labelled" key={key}>
            <label htmlFor={`naming-${key}`}>{label}</label>
            <Form.Control
              id={`naming-${key}`}
              className="figures"
              value={text}
              isInvalid={!parsed.success}
              onChange={(e) => {
                setTyped((t) => ({ ...t, [key]: e.target.value }));
                const next = Naming.safeParse({ ...naming, [key]: listOf(e.target.value) });
                if (next.success) onChange(next.data);
              }}
            />
            {!parsed.success && (
              <span className="problem" role="alert">
                {parsed.error.issues[0]!.message}
              </span>
            )}
          </div>
        );
      })}
    </details>
  );
}

/** What each new picture is shown as: as it is guessed, until somebody says otherwise. */
function useRoles(files: readonly Assigned[]) {
  const scene = useWorkbench((s) => s.documents.scenes[s.sceneId]);
  const [said, setSaid] = useState<Record<string, ShownAs>>({});
  const guessed = useMemo(() => guessRoles(files, scene ? hasBackgroundIn(scene) : false), [files, scene]);
  return {
    of: (picture: string): ShownAs => said[picture] ?? guessed.get(picture) ?? 'other',
    choose: (picture: string, role: ShownAs) => setSaid((all) => ({ ...all, [picture]: role })),
  };
}

/** Files that do not go together, said before they are taken. */
function Contradictions({ files }: { files: readonly Assigned[] }) {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const found = useMemo(() => {
    const after = takeFiles(pictures, files, newId);
    const touched = after.filter((p) => files.some((f) => sameName(f.picture, p.name)));
    return unevenFiles(touched).map(({ in: { id: pictureId }, said: text }) => ({
      name: after.find((p) => p.id === pictureId)!.name,
      text,
    }));
  }, [pictures, files]);
  if (found.length === 0) return null;
  return (
    <ul className="problem contradictions" aria-label="Files that do not go together">
      {found.map(({ name, text }) => (
        <li key={name + text}>
          <b>{name}</b>: {text}
        </li>
      ))}
    </ul>
  );
}

/** Where the files go, as it is read from their names until somebody says otherwise. */
function useAssigned(arrived: readonly Arrived[]) {
  const kept = useWorkbench((s) => s.documents.project.naming) ?? DEFAULT_NAMING;
  const [naming, setNaming] = useState(kept);
  const [files, setFiles] = useState(() => assign(arrived, naming));
  return {
    files,
    naming,
    /** the way that names are read, where it is another than the project has */
    newNaming: naming === kept ? null : naming,
    readBy(next: Naming) {
      setNaming(next);
      setFiles(assign(arrived, next));
    },
    change: (at: number, next: Partial<Assigned>) =>
      setFiles((list) => list.map((f, i) => (i === at ? { ...f, ...next } : f))),
    leave: (at: number) => setFiles((list) => list.filter((_, i) => i !== at)),
  };
}

/** Takes files into the project; each new picture is placed in the scene that is open, or in a first one. */
function takeAssigned(
  store: WorkbenchStore,
  files: readonly Assigned[],
  { roleOf, newNaming }: { roleOf: (picture: string) => ShownAs; newNaming: Naming | null },
): void {
  const { sceneId } = store.getState();
  const first = newScene('Splash', newId);
  edit(store, stepOf('picture.take-in', files.length), ({ project, scenes }) => {
    if (project.scenes.length === 0) {
      scenes[first.id] = first;
      project.scenes.push(first.id);
    }
    const known = new Set(project.pictures.map((p) => p.id));
    project.pictures = takeFiles(project.pictures, files, newId);
    const scene = scenes[sceneId] ?? scenes[project.scenes[0]!]!;
    for (const picture of project.pictures.filter((p) => !known.has(p.id)))
      placeIn(scene, picture, roleOf(picture.name), newId);
    if (newNaming) project.naming = newNaming;
  });
}

interface TableProps {
  files: readonly Assigned[];
  clashing: ReadonlySet<number>;
  roles: ReturnType<typeof useRoles>;
  onChange: (at: number, next: Partial<Assigned>) => void;
  onLeave: (at: number) => void;
}

function AssignTable({ files, clashing, roles, onChange, onLeave }: TableProps) {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  return (
    <table className="assign">
      <thead>
        <tr>
          {COLUMNS.map((name) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
          <td />
        </tr>
      </thead>
      <tbody>
        {files.map((file, i) => (
          <AssignRow
            key={file.arrived.path + file.arrived.file.hash}
            file={file}
            isNew={!pictures.some((p) => sameName(p.name, file.picture))}
            clash={clashing.has(i)}
            role={roles.of(file.picture)}
            isFirst={files.findIndex((f) => sameName(f.picture, file.picture)) === i}
            onRole={(role) => roles.choose(file.picture, role)}
            onChange={(next) => onChange(i, next)}
            onLeave={() => onLeave(i)}
          />
        ))}
      </tbody>
    </table>
  );
}

interface DialogProps {
  arrived: readonly Arrived[];
  /** how many files arrived later, about which is asked next */
  after: number;
  /** @param taken paths of the files that were taken into the project */
  onClose: (taken: readonly string[]) => void;
}

/** Where each of several files belongs, before they are taken: read from their names and sizes, and changed by hand. */
export function AssignDialog({ arrived, after, onClose }: DialogProps) {
  const store = useWorkbenchStore();
  const { files, naming, newNaming, readBy, change, leave } = useAssigned(arrived);
  const clashing = useMemo(() => new Set(clashes(files)), [files]);
  const unnamed = files.some((f) => f.picture.trim() === '');
  const roles = useRoles(files);
  const take = () => {
    takeAssigned(store, files, { roleOf: roles.of, newNaming });
    onClose(files.map((f) => f.arrived.path));
  };
  const leaveAll = () => onClose([]);
  return (
    <Modal show onHide={leaveAll} size="xl" scrollable animation={false} aria-labelledby="assign-title">
      <Modal.Header closeButton>
        <Modal.Title id="assign-title" as="h2">
          Where {arrived.length === 1 ? 'this file belongs' : `these ${arrived.length} files belong`}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body tabIndex={0}>
        <NamingFields naming={naming} onChange={readBy} />
        <AssignTable {...{ files, clashing, roles }} onChange={change} onLeave={leave} />
        <Contradictions files={files} />
      </Modal.Body>
      <Modal.Footer>
        {after > 0 && <span className="quiet">Next: {countOf(after, 'file')} that arrived later.</span>}
        {clashing.size > 0 && (
          <span className="problem" role="alert">
            {clashing.size === 1 ? 'One file wants' : `${clashing.size} files want`} a place that another has.
            Change or remove.
          </span>
        )}
        <Button variant="quiet" onClick={leaveAll}>
          Leave all out
        </Button>
        <Button
          variant="primary"
          disabled={files.length === 0 || clashing.size > 0 || unnamed}
          onClick={take}
        >
          Add {countOf(files.length, 'file')}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
