'use client';
import { useId, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { FolderFault } from '@/formats/files/folder';
import { countOf } from '@/core/words/words';
import { useImports } from '../import/imports';
import { FileField } from '../parts/FileField';
import { Making } from '../parts/Making';
import { Sent } from '../parts/Sent';
import { useDropTarget } from '../parts/useDropTarget';
import { useJob } from '../parts/useJob';
import { OUTCOME_SHAPES } from '../words';
import { useFolderCheck, type Checked } from './useFolderCheck';

interface FaultProps {
  fault: FolderFault;
  /** whether somebody leaves it as it is */
  isLeft: boolean;
  onLeave: (leave: boolean) => void;
  /** takes the file into the project; absent where there is nothing to take */
  onTake?: () => void;
}

/** One fault: what is wrong, what is to be done, and what can be done here. */
function Fault({ fault: { path, said, mend, written, picture }, isLeft, onLeave, onTake }: FaultProps) {
  return (
    <li className={isLeft ? 'fault-left' : undefined}>
      <b className="outcome-fail">{OUTCOME_SHAPES.fail}</b> <b>{path}</b>{' '}
      {isLeft && <span className="quiet">left as it is</span>}
      <p>
        {said} <span className="quiet">{mend}</span>{' '}
        {written !== null && (
          <Button
            variant="quiet"
            size="sm"
            aria-label={`${isLeft ? 'Mend' : 'Leave'} ${path}`}
            onClick={() => onLeave(!isLeft)}
          >
            {isLeft ? 'mend it' : 'leave it'}
          </Button>
        )}
        {onTake && (
          <Button variant="quiet" size="sm" aria-label={`Take ${path} into the project`} onClick={onTake}>
            take it into the project
          </Button>
        )}
      </p>
      {picture && !isLeft && <BesideDifference path={path} picture={picture} />}
    </li>
  );
}

/** The file of the project, that of the folder, and how they differ, each a third of the picture. */
const BesideDifference = ({ path, picture }: { path: string; picture: string }) => (
  <figure className="fault-picture">
    {/* What the server has just made, and nothing that an image optimiser could add. */}
    {/* eslint-disable-next-line @next/next/no-img-element */}
    <img src={picture} alt={`${path}: the file of the project, the one here, and how they differ`} />
    <figcaption>
      <span>of the project</span> <span>here</span> <span>how they differ, eightfold</span>
    </figcaption>
  </figure>
);

/** Faults of a file that may be the better one. */
const MAY_BE_TAKEN: readonly FolderFault['rule'][] = ['edited', 'another-picture', 'surplus'];

const idOf = ({ path, rule }: FolderFault) => `${path} ${rule}`;

/** What a folder came to, and the files of the project that mend it. */
function Result({ checked, pattern }: { checked: Checked; pattern: string }) {
  const { job, begin, callOff } = useJob();
  const imports = useImports();
  const [left, setLeft] = useState<readonly string[]>([]);
  if ('problem' in checked)
    return (
      <p className="problem" role="alert">
        {checked.problem}
      </p>
    );
  const { name, faults, found, wanted, files } = checked;
  const mended = faults.filter((f) => !left.includes(idOf(f)));
  const only = [...new Set(mended.flatMap((f) => f.written ?? []))];
  const take = () => void begin('The ZIP', { kind: 'export', options: { as: 'files', pattern, only } });
  return (
    <>
      <p role="status" className={faults.length > 0 ? 'outcome-fail' : 'outcome-clear'}>
        {faults.length > 0
          ? `${OUTCOME_SHAPES.fail} ${countOf(faults.length, 'fault')} in ${name}: ${countOf(found, 'file')}, where ${wanted} should be.`
          : `${OUTCOME_SHAPES.clear} ${name} holds the ${countOf(wanted, 'file')} of the project, and nothing else.`}
      </p>
      {faults.length > 0 && (
        <ul className="folder-faults" aria-label="Faults">
          {faults.map((fault) => {
            const id = idOf(fault);
            const file = MAY_BE_TAKEN.includes(fault.rule) ? files.get(fault.path) : undefined;
            return (
              <Fault
                key={id}
                fault={fault}
                isLeft={left.includes(id)}
                onLeave={(leave) => setLeft(leave ? [...left, id] : left.filter((l) => l !== id))}
                onTake={file && (() => imports.take([file]))}
              />
            );
          })}
        </ul>
      )}
      {only.length > 0 && (
        <p>
          <Button variant="primary" size="sm" disabled={job !== null} onClick={take}>
            Take along the {countOf(only.length, 'file')} that {only.length === 1 ? 'mends' : 'mend'} it
          </Button>
        </p>
      )}
      {job && <Making what="The ZIP" progress={job.progress} callOff={callOff} />}
    </>
  );
}

/** What no file may be heavier than, kB. */
function HeaviestField({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  const id = useId();
  return (
    <p className="folder-heaviest">
      <label htmlFor={id}>No file heavier than</label>
      <input
        id={id}
        className="form-control form-control-sm"
        type="number"
        min={1}
        placeholder="any"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      />
      kB
    </p>
  );
}

/** Holds what goes into the app against the files of the project: a folder or a ZIP, chosen or dropped. */
export function FolderCheck({ pattern }: { pattern: string }) {
  const [heaviest, setHeaviest] = useState('');
  const { reading, checked, cancel, close, checkDropped, checkFiles } = useFolderCheck(pattern, heaviest);
  const { over, target } = useDropTarget(checkDropped);
  const disabled = reading !== null;
  return (
    <section
      className={over ? 'sheet-section folder-check folder-check-over' : 'sheet-section folder-check'}
      aria-label="Check a folder"
      {...target}
    >
      <header>
        <h3>Check a folder</h3>
        <span className="ship-acts">
          <FileField label="choose a folder" disabled={disabled} onChoose={checkFiles} />
          <FileField
            label="choose a ZIP"
            accept=".zip,application/zip"
            disabled={disabled}
            onChoose={checkFiles}
          />
        </span>
      </header>
      <p className="quiet">
        Drop the folder that goes into the app, or a ZIP of it. Each file is held against the one of its name
        above; nothing of it is kept.
      </p>
      <HeaviestField value={heaviest} onChange={setHeaviest} />
      {reading && <Sent reading={reading} onCancel={cancel} />}
      {checked && !reading && (
        <>
          <Result checked={checked} pattern={pattern} />
          <Button variant="quiet" size="sm" onClick={close}>
            close
          </Button>
        </>
      )}
    </section>
  );
}
