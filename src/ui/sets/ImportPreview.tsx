'use client';
import type { ImportPlan } from '@/core/screens/import';
import { sayDensity, sayNumber, saySize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { kindName } from '../words';

/** So many of each are listed; of the others it is said how many they are. */
const LISTED = 50;

const sumOf = (all: readonly { weight: number }[]) => all.reduce((sum, { weight }) => sum + weight, 0);

function Rest({ of, word }: { of: number; word: string }) {
  return of > LISTED ? <li className="quiet">and {countOf(of - LISTED, `other ${word}`)}</li> : null;
}

type Taken = ImportPlan['joined'];

function Screens({ title, all, word }: { title: string; all: Taken; word: string }) {
  if (all.length === 0) return null;
  return (
    <details open={all.length <= LISTED}>
      <summary>
        {title} <b className="figures">{all.length}</b>{' '}
        <span className="quiet figures">
          {word} {sayNumber(sumOf(all))}
        </span>
      </summary>
      <ul>
        {all.slice(0, LISTED).map(({ screen, lines, weight }) => (
          <li key={screen.id} className="figures">
            {saySize(screen)} at {sayDensity(screen.density)}: {kindName(screen)}, {screen.label} · {word}{' '}
            {sayNumber(weight)} · {countOf(lines.length, 'line')}
          </li>
        ))}
        <Rest of={all.length} word="screen" />
      </ul>
    </details>
  );
}

/** What the lines of a file come to: screens that are known, new ones, and what is left out, by line and reason. */
export function ImportPreview({ plan }: { plan: ImportPlan }) {
  const { joined, added, bad, hasWeights } = plan;
  const word = hasWeights ? 'weight' : 'lines';
  return (
    <section aria-label="What is imported" className="import-preview">
      <p role="status" className="figures">
        <b>{countOf(joined.length + added.length, 'screen')}</b>, {word}{' '}
        <b>{sayNumber(sumOf([...joined, ...added]))}</b> in all
        {bad.length > 0 && (
          <>
            {' '}
            · <b className="outcome-warn">{countOf(bad.length, 'line')} left out</b>
          </>
        )}
      </p>
      {bad.length > 0 && (
        <details open>
          <summary>Left out, by line and reason</summary>
          <ul>
            {bad.slice(0, LISTED).map(({ line, why }) => (
              <li key={line}>
                <b className="figures">line {line}</b>: {why}
              </li>
            ))}
            <Rest of={bad.length} word="line" />
          </ul>
        </details>
      )}
      <Screens title="Join a screen that is known" all={joined} word={word} />
      <Screens title="New screens" all={added} word={word} />
    </section>
  );
}
