'use client';
import { EditorPopover } from '../parts/EditorPopover';
import { WORDS, type ValleyProps } from './limits';
import { MarkShape } from '../parts/MarkShape';

const PLAIN = { failsBesides: false, solid: true };

/** What the marks mean; each is a case. */
export function ValleyKey({ measure }: Pick<ValleyProps, 'measure'>) {
  const word = WORDS[measure];
  const lines = [
    { look: { ...PLAIN, outcome: 'fail' as const }, said: `fails by ${word}` },
    { look: { ...PLAIN, outcome: 'warn' as const }, said: `warns by ${word}` },
    { look: { ...PLAIN, outcome: 'clear' as const }, said: `within the limits of ${word}` },
    {
      look: { ...PLAIN, outcome: 'clear' as const, failsBesides: true },
      said: 'hollow: the case fails by something else',
    },
    {
      look: { ...PLAIN, outcome: 'clear' as const, solid: false },
      said: 'dashed: off the curve, as more than the ratio of its box decides',
    },
  ];
  return (
    <EditorPopover label="What the marks mean" button={{ variant: 'quiet', size: 'sm', children: 'key' }}>
      {() => (
        <ul className="valley-key">
          {lines.map(({ look, said }) => (
            <li key={said}>
              <svg width="16" height="16" viewBox="-6 -6 12 12" aria-hidden="true">
                <MarkShape x={0} y={0} {...look} title={said} chosen={false} />
              </svg>
              {said}
            </li>
          ))}
        </ul>
      )}
    </EditorPopover>
  );
}
