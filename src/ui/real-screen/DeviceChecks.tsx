'use client';
import { stepOf } from '@/core/steps/commands';
import { useId, useState } from 'react';
import { Form } from 'react-bootstrap';
import {
  CHECKLIST,
  checkedOf,
  countTicked,
  deviceTargets,
  evidenceFor,
  withChecked,
  type Check,
  type DeviceTarget,
} from '@/core/launch/checklist';
import type { DeviceCheck } from '@/core/project/proof';
import { sayTime } from '@/core/words/words';
import { Choices } from '../parts/Choices';
import { DropScreenshot } from '../screenshot/DropScreenshot';
import { EvidenceList } from '../screenshot/EvidenceList';
import { useEvidence } from '../screenshot/useScreenshots';
import { keptName } from '../state/kept-name';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';

interface ItemProps {
  check: Check;
  found: DeviceCheck | undefined;
  isReadOnly: boolean;
  onFound: (found: Pick<DeviceCheck, 'done' | 'note'>) => void;
}

/** One of the list: whether it was found right, and what was noticed. */
function CheckItem({ check, found, isReadOnly, onFound }: ItemProps) {
  const id = useId();
  const kept = found?.note ?? '';
  const [note, setNote] = useState(kept);
  const done = found?.done ?? false;
  const save = () => note.trim() !== kept && onFound({ done, note: note.trim() });
  return (
    <li>
      <Form.Check
        id={id}
        type="checkbox"
        checked={done}
        disabled={isReadOnly}
        label={check.what}
        onChange={(e) => onFound({ done: e.target.checked, note: note.trim() })}
      />
      <p className="quiet check-why">{check.why}</p>
      <label className="check-note">
        <span className="quiet">What was noticed</span>
        <Form.Control
          size="sm"
          maxLength={1000}
          value={note}
          readOnly={isReadOnly}
          onChange={(e) => setNote(e.target.value)}
          onBlur={save}
          onKeyDown={(e) => e.key === 'Enter' && save()}
        />
      </label>
      {found && (
        <span className="quiet">
          {done ? 'found right' : 'noted'} {sayTime(found.at)}
          {found.by ? ` by ${found.by}` : ''}
        </span>
      )}
    </li>
  );
}

/** The list for one target, each tick and note a step of the project. */
function ForTarget({ of }: { of: DeviceTarget }) {
  const store = useWorkbenchStore();
  const checked = useWorkbench((s) => s.documents.project.checked);
  const isReadOnly = useWorkbench((s) => s.signed !== null);
  const put = (check: Check, found: Pick<DeviceCheck, 'done' | 'note'>) =>
    edit(store, stepOf('proof.check', check.what), ({ project }) => {
      const by = keptName();
      const at = new Date().toISOString();
      const all = withChecked(project.checked, {
        ...{ check: check.id, target: of.id, ...found, at },
        ...(by && { by }),
      });
      if (all) project.checked = all;
      else delete project.checked;
    });
  return (
    <ol className="launch-checks">
      {CHECKLIST.map((check) => {
        const found = checkedOf(checked, of.id, check.id);
        return (
          // What somebody else noted, or an undo, is seen in place of what was typed before.
          <CheckItem
            key={`${check.id} ${found?.note ?? ''}`}
            {...{ check, found, isReadOnly }}
            onFound={(now) => put(check, now)}
          />
        );
      })}
    </ol>
  );
}

/** What to look at on a real device, target by target, with the screenshots of its screens. */
export function DeviceChecks() {
  const { launches, checked } = useWorkbench((s) => s.documents.project);
  const screens = useWorkbench((s) => s.screens);
  const evidence = useEvidence();
  const [chosen, setChosen] = useState<string | null>(null);
  const targets = deviceTargets(launches);
  const of = targets.find((t) => t.id === chosen) ?? targets[0]!;
  return (
    <section className="device-checks" aria-label="On a real device">
      <Choices
        label="Looked at on"
        options={targets.map((t) => ({
          value: t.id,
          label: `${t.name} (${countTicked(checked, t.id)} of ${CHECKLIST.length})`,
        }))}
        value={of.id}
        onChoose={setChosen}
      />
      <ForTarget key={of.id} of={of} />
      <EvidenceList label={`Screenshots, ${of.name}`} evidence={evidenceFor(evidence, of, screens)} />
      <DropScreenshot />
    </section>
  );
}
