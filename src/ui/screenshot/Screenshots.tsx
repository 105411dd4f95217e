'use client';
import { Button } from 'react-bootstrap';
import type { Case } from '@/core/screens/cases';
import { sayShare } from '@/core/words/numbers';
import { sayTime } from '@/core/words/words';
import { isAsRuled, SILENT_STATES, type Evidence, type LayerState } from '@/core/project/proof';
import { useWorkbench } from '../state/context';
import { FileField } from '../parts/FileField';
import { Sent } from '../parts/Sent';
import { useDropTarget } from '../parts/useDropTarget';
import { OUTCOME_SHAPES } from '../words';
import { MaskedPicture } from './MaskedPicture';
import { useEvidence, useScreenshots } from './useScreenshots';

const sayOff = (off: number | null): string => {
  if (off === null) return '–';
  const half = Math.round(off * 2) / 2;
  return half === 0 ? '0' : `${half > 0 ? '+' : '−'}${Math.abs(half)}`;
};

const STATE_WORDS: Record<LayerState, string> = {
  found: 'found',
  'not-found': 'not found',
  'out-of-reach': 'not within reach',
  'left-out': 'left out',
  unseen: 'not seen in its drawing',
};

/** What is other about a layer than its place: “, at 50 %”, “, other colours”. */
const sayOther = (found: Evidence['layers'][number]['found']) =>
  found &&
  `${(found.scale ?? 1) === 1 ? '' : `, at ${sayShare(found.scale!)}`}${found.recoloured ? ', other colours' : ''}`;

const EDGES = ['left', 'right', 'top', 'bottom'] as const;

/** How far each edge of each layer lies from where it is ruled. */
function Edges({ layers }: Pick<Evidence, 'layers'>) {
  return (
    <table className="figures shot-edges">
      <caption className="quiet">Edges off by device px</caption>
      <thead>
        <tr>
          <td />
          {EDGES.map((edge) => (
            <th scope="col" key={edge}>
              {edge}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {layers.map(({ id, name, agrees, state, found }) => (
          <tr key={id} className={agrees || isSilent(state) ? undefined : 'outcome-warn'}>
            <th scope="row">
              {name}
              {sayOther(found)}
            </th>
            {found ? (
              EDGES.map((edge) => <td key={edge}>{sayOff(found.edges[edge] ?? wholeOff(found, edge))}</td>)
            ) : (
              <td colSpan={4} className={isSilent(state) ? 'quiet' : undefined}>
                {state ? STATE_WORDS[state] : 'not seen'}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Whether a layer says nothing for or against a screenshot. */
const isSilent = (state: LayerState | undefined) => state !== undefined && SILENT_STATES.includes(state);

/** What fills the screen has no edges of its own: what is seen of it is moved as a whole. */
const wholeOff = (found: NonNullable<Evidence['layers'][number]['found']>, edge: (typeof EDGES)[number]) =>
  edge === 'left' || edge === 'right' ? found.x : found.y;

type Kept = ReturnType<typeof useScreenshots>;

function Shot({ shot, kept }: { shot: Evidence; kept: Kept }) {
  const agrees = isAsRuled(shot);
  return (
    <li>
      <p className={agrees ? 'outcome-clear' : 'outcome-warn'}>
        {OUTCOME_SHAPES[agrees ? 'clear' : 'warn']} {shot.opinion}
      </p>
      <p className="quiet figures">
        {shot.name}, {sayTime(shot.at)}, against revision {shot.revision}
        {shot.scale !== 1 && `, made smaller to ${sayShare(shot.scale)}`}; {sayShare(shot.differing)} of what
        is looked at differs
        {shot.unexplained !== undefined &&
          `, ${sayShare(shot.unexplained)} is explained by nothing in the case`}
      </p>
      <Edges layers={shot.layers} />
      <MaskedPicture
        key={JSON.stringify(shot.ignored)}
        shot={shot}
        isBusy={kept.busy}
        onAgain={kept.isReadOnly ? undefined : (ignored) => void kept.again(shot, ignored)}
      />
      {!kept.isReadOnly && (
        <Button variant="quiet" size="sm" disabled={kept.busy} onClick={() => kept.remove(shot.id)}>
          remove this screenshot
        </Button>
      )}
    </li>
  );
}

/** A real screenshot laid over its case: where each layer lies, and what differs. */
export function Screenshots({ c }: { c: Case }) {
  const kept = useScreenshots();
  const scene = useWorkbench((s) => s.sceneId);
  const shots = useEvidence().filter((e) => e.scene === scene && e.case === c.id);
  const { over, target } = useDropTarget((data) => {
    if (!kept.isReadOnly) for (const file of data.files) void kept.take(file, c.id);
  });
  if (kept.isReadOnly && shots.length === 0) return null;
  return (
    <section
      className={over ? 'shots-part shots-part-over' : 'shots-part'}
      aria-labelledby="real-shots"
      {...target}
    >
      <h3 id="real-shots">Real screenshots</h3>
      {!kept.isReadOnly && (
        <p className="quiet">
          Drop a screenshot of it here, or{' '}
          <FileField
            label="choose a screenshot"
            accept="image/png,image/jpeg,image/webp"
            disabled={kept.reading !== null}
            onChoose={([file]) => file && void kept.take(file, c.id)}
          />
        </p>
      )}
      {kept.reading && <Sent reading={kept.reading} onCancel={kept.cancel} />}
      {kept.problem && (
        <p className="problem" role="alert">
          {kept.problem}
        </p>
      )}
      <ul aria-label="Screenshots">
        {shots.map((shot) => (
          <Shot key={shot.id} shot={shot} kept={kept} />
        ))}
      </ul>
    </section>
  );
}
