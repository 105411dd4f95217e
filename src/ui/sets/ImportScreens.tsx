'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo, useRef, useState } from 'react';
import { Button, Form, Modal } from 'react-bootstrap';
import { takeIn, tooMany } from '@/core/project/import-screens';
import { guessUnit, planImport, type ImportPlan, type ImportWays } from '@/core/screens/import';
import type { Screen } from '@/core/screens/screen';
import { guessMapping } from '@/core/screens/table';
import { countOf } from '@/core/words/words';
import type { ReadTable } from '@/formats/screens/read';
import { newId } from '@/workers/new-id';
import { messageOf } from '../api';
import { useDropTarget } from '../parts/useDropTarget';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { ImportColumns } from './ImportColumns';
import { ImportPreview } from './ImportPreview';
import { readBeside } from './read-beside';
import { useAllScreens } from '../state/useSets';

/** A file that was chosen, and what it holds. */
interface Opened {
  name: string;
  bytes: Uint8Array;
  read: ReadTable;
  ways: ImportWays;
}

/** @throws Error in words where it is no table */
async function open(
  name: string,
  bytes: Uint8Array,
  screens: readonly Screen[],
  header?: boolean,
): Promise<Opened> {
  const read = await readBeside(bytes, header);
  const ways = { mapping: guessMapping(read.table.columns), decimalComma: read.decimalComma };
  return { name, bytes, read, ways: { ...ways, unit: guessUnit(read.table, ways, screens) } };
}

/** Where a file is chosen or dropped. */
function FileWell({ onFile, problem }: { onFile: (file: File) => void; problem: string | null }) {
  const { over, target } = useDropTarget((dropped) => {
    const [file] = dropped.files;
    if (file) onFile(file);
  });
  return (
    <div className={over ? 'sets-well sets-well-over' : 'sets-well'} {...target}>
      <p>
        Drop a CSV or JSON file of screens here, such as an export of how many people use which, or choose
        one. A line is a screen: its width and height, px per lu, and how many use it.
      </p>
      <Form.Control
        type="file"
        accept=".csv,.tsv,.txt,.json,text/csv,application/json"
        aria-label="File of screens"
        onChange={(e) => {
          const [file] = (e.target as HTMLInputElement).files ?? [];
          if (file) onFile(file);
        }}
      />
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

function useFile(screens: readonly Screen[]) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  /** of what is read that which was asked for last is shown, whichever ends first */
  const asked = useRef(0);
  const read = (name: string, bytesOf: () => Promise<Uint8Array>, header?: boolean) => {
    const n = ++asked.current;
    bytesOf()
      .then((bytes) => open(name, bytes, screens, header))
      .then((found) => {
        if (n !== asked.current) return;
        setOpened(found);
        setProblem(null);
      })
      .catch((error: unknown) => {
        if (n === asked.current) setProblem(`${name} was not read: ${messageOf(error)}`);
      });
  };
  const onFile = (file: File) => read(file.name, async () => new Uint8Array(await file.arrayBuffer()));
  const setHeader = (header: boolean) => {
    if (opened) read(opened.name, () => Promise.resolve(opened.bytes), header);
  };
  const setWays = (ways: ImportWays) => setOpened((o) => o && { ...o, ways });
  return { opened, problem, onFile, setHeader, setWays };
}

const mapsSize = ({ mapping }: ImportWays) =>
  mapping.size !== null || (mapping.width !== null && mapping.height !== null);

interface Props {
  onClose: () => void;
  /** hears of the set that was made */
  onSet: (id: string) => void;
}

/** What the lines of the file come to; `null` while it is not known which columns are the sizes. */
function usePlan(opened: Opened | null, screens: readonly Screen[]): ImportPlan | null {
  return useMemo(() => {
    if (!opened || !mapsSize(opened.ways)) return null;
    return planImport(opened.read.table, opened.ways, screens, () => `own-${newId()}`);
  }, [opened, screens]);
}

/** Takes in what was planned, in one step, and says so. */
function take(store: WorkbenchStore, plan: ImportPlan, source: string, setId: string | null): void {
  edit(store, stepOf('screen.take-in', source), ({ project }) => takeIn(project, plan, { source, setId }));
  const left = plan.bad.length > 0 ? `, ${countOf(plan.bad.length, 'line')} left out` : '';
  const count = countOf(plan.joined.length + plan.added.length, 'screen');
  store.setState({ message: `${count} of ${source} imported${left}. “undo” takes it back.` });
}

interface PlannedProps {
  plan: ImportPlan;
  /** why it cannot be taken */
  refused: string | null;
  isSet: boolean;
  setIsSet: (isSet: boolean) => void;
}

/** What each line comes to, and whether all of it becomes a set. */
function Planned({ plan, refused, isSet, setIsSet }: PlannedProps) {
  return (
    <>
      <ImportPreview plan={plan} />
      {refused && (
        <p className="problem" role="alert">
          {refused}
        </p>
      )}
      <Form.Check
        type="checkbox"
        id="import-as-set"
        label="Make a set of these screens, and use it"
        checked={isSet}
        onChange={(e) => setIsSet(e.target.checked)}
      />
    </>
  );
}

/** Screens and weights from a file: its columns, what each line comes to, and only then all of it in one step. */
export function ImportScreens({ onClose, onSet }: Props) {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project);
  const screens = useAllScreens();
  const { opened, problem, onFile, setHeader, setWays } = useFile(screens);
  const [isSet, setIsSet] = useState(true);
  const plan = usePlan(opened, screens);
  const count = plan ? plan.joined.length + plan.added.length : 0;
  const refused = plan && tooMany(project, plan);
  const onTake = () => {
    if (!plan || !opened) return;
    const setId = isSet ? newId() : null;
    take(store, plan, opened.name, setId);
    if (setId) onSet(setId);
    onClose();
  };
  return (
    <Modal show onHide={onClose} size="xl" scrollable aria-labelledby="import-screens">
      <Modal.Header closeButton>
        <Modal.Title id="import-screens">Import screens and weights</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <FileWell onFile={onFile} problem={problem} />
        {opened && <ImportColumns {...opened} onWays={setWays} onHeader={setHeader} />}
        {opened && !plan && <p role="status">Say which columns are the width and the height.</p>}
        {plan && <Planned {...{ plan, refused, isSet, setIsSet }} />}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="quiet" onClick={onClose}>
          cancel
        </Button>
        <Button variant="primary" disabled={count === 0 || refused !== null} onClick={onTake}>
          import {countOf(count, 'screen')}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
