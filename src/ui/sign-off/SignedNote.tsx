'use client';
import { sayTime } from '@/core/words/words';
import { useWorkbench } from '../state/context';

/** Says that one looks at a project as it was signed off, with the way back to what it is now. */
export function SignedNote() {
  const signed = useWorkbench((s) => s.signed);
  const project = useWorkbench((s) => s.documents.project.id);
  const revision = useWorkbench((s) => s.revision);
  if (!signed) return null;
  return (
    <p className="signed-note" role="note">
      This is the project as {signed.by} signed it off on {sayTime(signed.at)}, revision {revision}. Nothing
      in it can be changed. {/* Another document altogether: nothing of this page is kept. */}
      <a href={`/projects/${project}?lens=ship&since=${signed.id}`}>back to what it is now</a>
    </p>
  );
}
