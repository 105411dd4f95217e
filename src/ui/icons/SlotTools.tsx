'use client';
import { stepOf } from '@/core/steps/commands';
import { Button, Form } from 'react-bootstrap';
import { iconFiles } from '@/core/icons/files';
import { SLOT_SETS } from '@/core/icons/sets';
import { slotSetsOf } from '@/core/icons/slots';
import { countOf } from '@/core/words/words';
import { EditorPopover } from '../parts/EditorPopover';
import { Making } from '../parts/Making';
import { useJob } from '../parts/useJob';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { isAllSaved } from '../state/once-saved';
import { edit } from '../state/edit';

/** The sets of slots that icons are made for; at least one. */
function SetsEditor() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project);
  const chosen = slotSetsOf(project).map((s) => s.id);
  const choose = (ids: readonly string[]) =>
    edit(store, stepOf('icons.sets'), ({ project: p }) => {
      p.iconSets = [...ids];
    });
  return (
    <EditorPopover
      wide
      label="Slots of icons"
      button={{ bsPrefix: 'part', children: countOf(chosen.length, 'set') + ' of slots' }}
    >
      {() => (
        <fieldset className="slot-sets">
          <legend>What the icons of this project are made for</legend>
          {SLOT_SETS.map(({ id, label, note, slots }) => (
            <Form.Check
              key={id}
              type="checkbox"
              id={`slots-${id}`}
              label={
                <>
                  {label} <span className="quiet figures">{countOf(slots.length, 'slot')}</span>
                  <span className="quiet slot-note">{note}</span>
                </>
              }
              checked={chosen.includes(id)}
              disabled={chosen.length === 1 && chosen[0] === id}
              onChange={(e) => choose(e.target.checked ? [...chosen, id] : chosen.filter((c) => c !== id))}
            />
          ))}
        </fieldset>
      )}
    </EditorPopover>
  );
}

/** What an icon is made for, and all of its files at once. */
export function SlotTools() {
  const project = useWorkbench((s) => s.documents.project);
  const scene = useWorkbench((s) => s.sceneId);
  const isSaved = useWorkbench(isAllSaved);
  const { job, begin, callOff } = useJob();
  const most = iconFiles(project).length;
  return (
    <div className="field-tools">
      <span>
        <SetsEditor />
      </span>
      <Button
        variant="quiet"
        size="sm"
        disabled={job !== null || !isSaved}
        title={`Up to ${countOf(most, 'file')}: a dark one that looks as the light one does is left out`}
        onClick={() => void begin('The ZIP', { kind: 'export', options: { as: 'icons', scene } })}
      >
        all files as ZIP
      </Button>
      {job && <Making what="The ZIP" progress={job.progress} callOff={callOff} />}
    </div>
  );
}
