'use client';
import { countOf } from '@/core/words/words';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import { checkFiles, inkFiles, type FileFinding } from '@/core/files/check';
import { USUAL_DENSITIES } from '@/core/pictures/master';
import type { Needed } from '@/core/survey/needed';
import { setsOf } from '@/core/pictures/master';
import { foundCounts } from '@/core/review/counts';
import type { Picture } from '@/core/pictures/picture';
import type { Ink } from '@/core/pixels/ink';
import { useWorkbench } from '../state/context';
import { useAllStatistics } from '../state/statistics';
import { OUTCOME_SHAPES } from '../words';
import { OlderNote } from '../parts/Older';
import { DensitiesEditor } from './DensitiesEditor';
import { PictureRows } from './PictureRows';
import { canBeMade, useMake } from './useMake';

/** Where the ink of the largest file of each set lies, as far as the server has said so. */
function useInk(pictures: readonly Picture[]): ReadonlyMap<string, Ink> | null {
  const hashes = useMemo(() => inkFiles(pictures), [pictures]);
  const known = useAllStatistics(hashes);
  return useMemo(
    () => known && new Map([...known].flatMap(([hash, { ink }]) => (ink ? [[hash, ink] as const] : []))),
    [known],
  );
}

/** The files of every picture against what the scenes and the densities ask for; nothing is said of them before that is measured. */
export function SizesLens() {
  const { pictures } = useWorkbench((s) => s.documents.project);
  const needed = useWorkbench((s) => s.needed);
  const ink = useInk(pictures);
  if (!needed || !ink)
    return (
      <main className="sizes" id="main">
        <p className="sizes-summary" role="status">
          The files of {countOf(pictures.length, 'picture')} are being measured on all screens…
        </p>
      </main>
    );
  return <Sizes needed={needed} ink={ink} />;
}

interface SizesProps {
  needed: ReadonlyMap<string, readonly Needed[]>;
  ink: ReadonlyMap<string, Ink>;
}

interface SummaryProps {
  findings: readonly FileFinding[];
  /** whether what the scenes need is older than the last change */
  isOlder: boolean;
}

/** How much is wrong with the files, which densities they should have, and what makes those that can be made. */
function Summary({ findings, isOlder }: SummaryProps) {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const { busy, make } = useMake();
  const { fail, warn, accepted } = foundCounts(findings);
  const makeable = findings.filter((f) =>
    canBeMade(
      f,
      pictures.find((p) => p.id === f.in.id)!,
    ),
  );
  return (
    <p className="sizes-summary">
      <b className="outcome-fail">
        {OUTCOME_SHAPES.fail} {fail}
      </b>{' '}
      <b className="outcome-warn">
        {OUTCOME_SHAPES.warn} {warn}
      </b>{' '}
      {fail + warn === 1 ? 'finding' : 'findings'} on the files of {countOf(pictures.length, 'picture')}
      {accepted > 0 && ` and ${accepted} accepted`}. A picture with several files should have one for{' '}
      <DensitiesEditor />; the scenes’ needs are device px. <OlderNote when={isOlder} />
      {makeable.length > 0 && (
        <Button variant="quiet" size="sm" disabled={busy} onClick={() => void make(makeable)}>
          make {countOf(makeable.length, 'file')} that {makeable.length === 1 ? 'is' : 'are'} missing or
          uneven
        </Button>
      )}
    </p>
  );
}

function Sizes({ needed, ink }: SizesProps) {
  const project = useWorkbench((s) => s.documents.project);
  const isOlder = useWorkbench((s) => s.neededOf !== s.documents);
  const { pictures, acceptedFiles } = project;
  const wanted = project.densities ?? USUAL_DENSITIES;
  const findings = useMemo(
    () => checkFiles({ pictures, densities: wanted, needed, ink, accepted: acceptedFiles }),
    [pictures, wanted, needed, ink, acceptedFiles],
  );
  const all = pictures.flatMap((p) => setsOf(p).flatMap((s) => s.files.filter((r) => !r.vector)));
  const densities = [...new Set([...wanted, ...all.map((r) => r.density)])].toSorted((a, b) => a - b);
  return (
    <main className="sizes" id="main">
      <Summary findings={findings} isOlder={isOlder} />
      <div
        className="sizes-scroll older"
        data-older={isOlder || undefined}
        aria-busy={isOlder}
        tabIndex={0}
        role="region"
        aria-label="Files of all pictures"
      >
        <table className="sizes-table figures">
          <thead>
            <tr>
              <th scope="col">Picture</th>
              <th scope="col">For</th>
              {densities.map((d) => (
                <th scope="col" key={d}>
                  {sayDensity(d)}x
                </th>
              ))}
              <th scope="col">Vector</th>
              <th scope="col">Scenes need, in px</th>
            </tr>
          </thead>
          {pictures.map((p) => (
            <PictureRows
              key={p.id}
              picture={p}
              densities={densities}
              findings={findings.filter((f) => f.in.id === p.id)}
              needed={needed.get(p.id) ?? []}
            />
          ))}
        </table>
      </div>
    </main>
  );
}
