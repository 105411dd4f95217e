'use client';
import { stepOf } from '@/core/steps/commands';
import { Button } from 'react-bootstrap';
import { useScene, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';

/** Says that what is drawn is the right-to-left preview of the scene, and ends it; nothing where it is not. */
export function MirrorNote() {
  const store = useWorkbenchStore();
  const scene = useScene();
  if (scene.direction !== 'rtl') return null;
  const end = () =>
    edit(store, stepOf('scene.unmirror', scene.name), ({ scenes }) => {
      scenes[scene.id]!.direction = 'ltr';
    });
  return (
    <p className="mirror-note" role="note">
      <span>
        <b>Right-to-left preview.</b> Left and right change places: edges, distances, paddings and margins.
        Pictures stay as they are.
      </span>
      <Button variant="quiet" size="sm" onClick={end}>
        end it
      </Button>
    </p>
  );
}
