'use client';
import { Button } from 'react-bootstrap';
import { useStore } from 'zustand';
import { door } from '../session';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { committedOf, redo, undo } from '../state/edit';
import { HistoryMenu } from './HistoryMenu';
import type { Saving } from '../state/workbench';

const WORDS: Record<Saving | 'unsaved' | 'locked', string> = {
  locked: 'passphrase needed',
  unsaved: 'not saved yet',
  saved: 'saved',
  saving: 'saving…',
  offline: 'not saved, trying again',
  refused: 'not saved',
  conflict: 'two versions',
};

/** Where saving stands, and the way back and forth. */
export function SaveState() {
  const store = useWorkbenchStore();
  const isLocked = useStore(door, (d) => d.waiting.length > 0);
  const saving = useWorkbench((s) => {
    if (isLocked && s.pending.length > 0) return 'locked';
    if (s.saving !== 'saved') return s.saving;
    if (s.pending.length > 0) return 'saving';
    // What a value comes to while it is dragged or typed is sent once it rests.
    return committedOf(s) === s.documents ? 'saved' : 'unsaved';
  });
  const canUndo = useWorkbench((s) => s.undo.length > 0 || s.gesture !== null);
  const canRedo = useWorkbench((s) => s.redo.length > 0);
  const undone = useWorkbench((s) => (s.gesture ? s.step : s.undo.at(-1)?.step)?.name);
  const redone = useWorkbench((s) => s.redo.at(-1)?.step?.name);
  return (
    <div className="save-state">
      <Button
        variant="bar"
        size="sm"
        disabled={!canUndo}
        onClick={() => undo(store)}
        title={`undo${undone ? `: ${undone}` : ''} (Ctrl Z)`}
      >
        undo
      </Button>
      <Button
        variant="bar"
        size="sm"
        disabled={!canRedo}
        onClick={() => redo(store)}
        title={`redo${redone ? `: ${redone}` : ''} (Ctrl Shift Z)`}
      >
        redo
      </Button>
      <HistoryMenu />
      <span className={`saving saving-${saving}`} data-testid="saving">
        {WORDS[saving]}
      </span>
    </div>
  );
}
