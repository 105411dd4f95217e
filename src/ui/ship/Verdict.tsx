'use client';
import { countOf } from '@/core/words/words';
import { sayOpenCases } from '@/core/findings/say-open';
import { OUTCOMES } from '@/core/measure/judge';
import { allFindings, foundCounts } from '@/core/review/counts';
import { sayVerdict, sayWhat, worstOpen } from '@/core/review/say';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { FoundCounts } from '../parts/FoundCounts';
import { useWorkbenchStore } from '../state/context';
import type { WorkbenchState, WorkbenchStore } from '../state/workbench';
import { countCases, OUTCOME_SHAPES } from '../words';
import type { useReview } from './useReview';

/** A scene, a launch or the files of all pictures, as one line of the verdict. */
interface Part {
  key: string;
  name: string;
  kind: string;
  /** of cases by outcome; files have none */
  counts: Review['scenes'][number]['counts'] | null;
  found: Review['scenes'][number]['found'];
  findings: readonly ReviewFinding[];
  /** goes where its findings are listed */
  open: (state: WorkbenchState) => Partial<WorkbenchState>;
}

const inLens = ({ view }: WorkbenchState, lens: 'findings' | 'launch' | 'sizes') => ({
  view: { ...view, lens, order: 'cause' as const, finding: undefined },
});

function partsOf({ scenes, launches, files }: Review): Part[] {
  const ofFiles = files.flatMap((f) => f.findings);
  return [
    ...scenes.map((s): Part => ({
      ...s,
      key: `scene ${s.id}`,
      kind: s.role.replace('-', ' '),
      open: (state) => ({ sceneId: s.id, ...inLens(state, 'findings') }),
    })),
    ...launches.map((l): Part => ({
      ...l,
      key: `launch ${l.id}`,
      kind: l.name.toLowerCase() === 'launch' ? '' : 'launch',
      open: (state) => inLens(state, 'launch'),
    })),
    {
      key: 'files',
      name: `Files of ${countOf(files.length, 'picture')}`,
      kind: '',
      counts: null,
      found: foundCounts(ofFiles),
      findings: ofFiles,
      open: (state) => inLens(state, 'sizes'),
    },
  ];
}

/** The gravest finding that is open, in words; nothing where none is. */
function Worst({ findings }: Pick<Part, 'findings'>) {
  const worst = worstOpen(findings);
  if (!worst) return <span className="quiet">nothing open</span>;
  const { source, subject, word } = worst;
  return (
    <>
      {source === 'launch' ? (
        <>
          <b>{word}</b> at {subject.name}
        </>
      ) : (
        <>
          <b>{source === 'files' ? worst.in.name : subject.name}</b> {word}
        </>
      )}{' '}
      {worst.cases.length > 0 && <span className="quiet figures">on {sayOpenCases(worst)}</span>}
    </>
  );
}

function PartRow({ part, store }: { part: Part; store: WorkbenchStore }) {
  const { counts, found } = part;
  return (
    <tr>
      <th scope="row">
        <button type="button" className="why" onClick={() => store.setState(part.open)}>
          {part.name}
        </button>{' '}
        {part.kind && <span className="quiet">{part.kind}</span>}
      </th>
      {OUTCOMES.map((o) => (
        <td key={o}>
          {counts ? (
            <span className={counts[o] > 0 ? `outcome-${o}` : 'quiet'}>{counts[o]}</span>
          ) : (
            <span className="quiet">–</span>
          )}
        </td>
      ))}
      <td>
        <FoundCounts found={found} />
      </td>
      <td className="verdict-worst">
        <Worst findings={part.findings} />
      </td>
    </tr>
  );
}

/** What is taken as it is, with the reason for it. */
function Accepted({ review }: { review: Review }) {
  const accepted = allFindings(review).filter((f) => f.accepted !== null);
  if (accepted.length === 0) return null;
  return (
    <>
      <h3>Accepted</h3>
      <ul className="ship-list">
        {accepted.map((f) => (
          <li key={`${f.in.id} ${f.id}`}>
            ✓ <span className="quiet">{f.in.name}:</span> {sayWhat(f)}.{' '}
            <span className="quiet">{f.accepted}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** The whole project at a glance: every scene, every launch and all files, with the worst of each. */
export function Verdict({ review, progress }: ReturnType<typeof useReview>) {
  const store = useWorkbenchStore();
  if (!review)
    return (
      <section className="verdict">
        <h2 id="verdict">Verdict</h2>
        <p role="status">
          The whole project is being judged: {progress.doing}
          {progress.of > 0 && `, ${progress.done} of ${countCases(progress.of)}`}{' '}
          <progress
            aria-label="The whole project is being judged"
            {...(progress.of > 0 && { value: progress.done, max: progress.of })}
          />
        </p>
      </section>
    );
  const { text, outcome } = sayVerdict(review);
  return (
    <section className="verdict">
      <h2 id="verdict" className={`outcome-${outcome}`}>
        {OUTCOME_SHAPES[outcome]} {text}
      </h2>
      <table className="figures">
        <caption>
          {review.project.name} as it was saved last (revision {review.revision}), on {review.screens} screens
          {review.set && ` of “${review.set}”`}
          {review.weightsFrom && `, weights from ${review.weightsFrom}`}
        </caption>
        <thead>
          <tr>
            <th scope="col">What</th>
            {OUTCOMES.map((o) => (
              <th scope="col" key={o}>
                {OUTCOME_SHAPES[o]} cases {o === 'clear' ? 'clear' : `that ${o}`}
              </th>
            ))}
            <th scope="col">Findings</th>
            <th scope="col">Worst</th>
          </tr>
        </thead>
        <tbody>
          {partsOf(review).map((part) => (
            <PartRow key={part.key} {...{ part, store }} />
          ))}
        </tbody>
      </table>
      <Accepted review={review} />
    </section>
  );
}
