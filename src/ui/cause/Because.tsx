'use client';
import type { Reason } from '@/core/explain/reason';
import { Steps } from './Why';
import type { Answers } from './useAnswers';

interface BecauseProps {
  answers: Pick<Answers<never>, 'short' | 'why'> | null;
  onChange: (part: NonNullable<Reason['part']>) => void;
}

/** Why in one sentence, with the part to change in it; the figures that it comes from are folded under it. */
export function Because({ answers, onChange }: BecauseProps) {
  if (!answers?.why) return <p className="quiet">…</p>;
  const { short, why } = answers;
  return (
    <>
      {short && (
        <p className="in-short">
          {short.before}
          {short.part && (
            <button type="button" className="part" onClick={() => onChange(short.part!.at)}>
              {short.part.text}
            </button>
          )}
          {short.after}
        </p>
      )}
      <details>
        <summary>why, in steps</summary>
        <Steps reason={why} onChange={onChange} />
      </details>
    </>
  );
}
