'use client';
import { useState } from 'react';
import { byCause, classesIn, DIRECTION_WORDS, differing, saySince } from '@/core/since/say';
import type { Difference, Direction, Since } from '@/core/since/schema';
import { capitalised } from '@/core/words/words';
import { DifferenceRow } from './DifferenceRow';
import { useSince } from './useSince';

/** How many cases of each scene and launch are worse, better, other or the same. */
function Counts({ parts }: Pick<Since, 'parts'>) {
  const shown = classesIn(parts);
  return (
    <table className="figures since-counts">
      <thead>
        <tr>
          <th scope="col">Cases</th>
          {shown.map(([id, label]) => (
            <th scope="col" key={id}>
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {parts.map(({ id, name, source, cases }) => (
          <tr key={`${source} ${id}`}>
            <th scope="row">{name}</th>
            {shown.map(([key]) => (
              <td key={key} className={cases[key] > 0 && key !== 'same' ? `since-${key}` : 'quiet'}>
                {cases[key]}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface GroupProps {
  since: Since;
  direction: Direction;
  differences: readonly Difference[];
}

/** How something was and is, in a few words. */
const Sides = ({ before, after }: Pick<Since['changes'][number], 'before' | 'after'>) =>
  before || after ? (
    <span className="quiet">
      {' '}
      {before} → {after}
    </span>
  ) : null;

/** What got worse, better or differs, by the change that it comes from. */
function Group({ since, direction, differences }: GroupProps) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <section className={`since-group since-${direction}`}>
      <h4>What {DIRECTION_WORDS[direction]}</h4>
      {byCause(since, differences).map(({ causes, title, differences: of }) => (
        <div key={causes.join(' ')} className="since-cause">
          <h5>
            {title}
            {causes.length === 1 && <Sides {...since.changes[causes[0]!]!} />}
          </h5>
          <ul>
            {of.map((d) => {
              const key = `${d.source} ${d.in.id} ${d.id}`;
              return (
                <DifferenceRow
                  key={key}
                  difference={d}
                  signOff={since.signOff.id}
                  isOpen={open === key}
                  onOpen={() => setOpen(open === key ? null : key)}
                />
              );
            })}
          </ul>
        </div>
      ))}
    </section>
  );
}

/** Everything that was changed, whether it did anything or not. */
function Changes({ changes }: Pick<Since, 'changes'>) {
  if (changes.length === 0) return null;
  return (
    <details className="since-changes">
      <summary>All that was changed ({changes.length})</summary>
      <ul>
        {changes.map(({ title, ...sides }, i) => (
          <li key={i}>
            <b>{title}</b>
            <Sides {...sides} />
          </li>
        ))}
      </ul>
    </details>
  );
}

function Said({ since }: { since: Since }) {
  const { text, isWorse } = saySince(since);
  const [worse, better, other] = (['worse', 'better', 'other'] as const).map((d) => differing(since, d));
  return (
    <>
      <h3 className={isWorse ? 'outcome-fail' : 'outcome-clear'}>{text}</h3>
      <Counts parts={since.parts} />
      {worse!.length > 0 && <Group since={since} direction="worse" differences={worse!} />}
      {better!.length > 0 && <Group since={since} direction="better" differences={better!} />}
      {other!.length > 0 && (
        <details className="since-other">
          <summary>{capitalised(`${other!.length} figures ${DIRECTION_WORDS.other}`)}</summary>
          <Group since={since} direction="other" differences={other!} />
        </details>
      )}
      <Changes changes={since.changes} />
    </>
  );
}

/** What has changed since a sign-off: by its cause first, then case by case. */
export function SinceView({ signOff }: { signOff: string }) {
  const { since, problem } = useSince(signOff);
  return (
    <div className="since" aria-live="polite">
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      {!since && !problem && (
        <p role="status">
          Every case is compared with what it was <progress aria-label="Every case is compared" />
        </p>
      )}
      {since && <Said since={since} />}
    </div>
  );
}
