'use client';
import { useState } from 'react';
import { SHOWN } from '@/core/since/schema';
import { addressOf } from '@/formats/api/operation';
import { drawSince } from '@/formats/api/sign-offs';
import { useWorkbench } from '../state/context';

const WORDS: Record<(typeof SHOWN)[number], string> = {
  then: 'as it was signed off',
  now: 'now',
  difference: 'where both differ',
};

/** Px per lu: three of them beside one another are never shown larger. */
const SCALE = 1;

interface Props {
  signOff: string;
  scene: string;
  caseId: string;
  /** whether it was not looked at then */
  isNew: boolean;
}

/** One picture, and what is said where it cannot be drawn. */
function Shown({ show, ...props }: Props & { show: (typeof SHOWN)[number] }) {
  const project = useWorkbench((s) => s.documents.project.id);
  const revision = useWorkbench((s) => s.revision);
  const [failed, setFailed] = useState(false);
  const { signOff, scene, caseId } = props;
  const address = addressOf(drawSince, { project, signOff, scene, case: caseId }, { show, scale: SCALE });
  if (failed) return <p className="quiet">It could not be drawn.</p>;
  return (
    // A drawing of the server, and nothing that an image optimiser could add.
    // eslint-disable-next-line @next/next/no-img-element
    <img key={revision} src={address} alt={`${caseId}, ${WORDS[show]}`} onError={() => setFailed(true)} />
  );
}

/** A case as it was, as it is, and where both differ; of one that was not looked at then, as it is. */
export function CaseBeside(props: Props) {
  const shown = props.isNew ? (['now'] as const) : SHOWN;
  return (
    <div className="case-beside">
      {shown.map((show) => (
        <figure key={`${show} ${props.caseId}`}>
          <Shown show={show} {...props} />
          <figcaption>{WORDS[show]}</figcaption>
        </figure>
      ))}
    </div>
  );
}
