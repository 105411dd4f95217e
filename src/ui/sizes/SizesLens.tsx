'use client';
import { useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { findCase } from '@/core/screens/cases';
import { sayDensity, saySize } from '@/core/formats/numbers';
import {
  checkFiles,
  madeFrom,
  masterOfSet,
  setsOf,
  USUAL_DENSITIES,
  type FileFinding,
  type FileRule,
  type Needed,
} from '@/core/pictures/check';
import type { Ink } from '@/core/pixels/ink';
import { sameDensity, type Picture, type Rendition } from '@/core/pictures/picture';
import { DensitiesEditor } from './DensitiesEditor';
import { canBeMade, useMake } from './useMake';
import { PictureThumb } from '../drawing/PictureThumb';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { useAllStatistics } from '../state/statistics';
import { caseName, OUTCOME_SHAPES } from '../words';

const RULES: Record<FileRule, { word: string; outcome: 'fail' | 'warn' }> = {
  missing: { word: 'missing', outcome: 'warn' },
  uneven: { word: 'uneven', outcome: 'warn' },
  'too-small': { word: 'too small', outcome: 'fail' },
  'too-heavy': { word: 'too heavy', outcome: 'warn' },
  'wrong-profile': { word: 'wrong profile', outcome: 'warn' },
  'missing-dark': { word: 'light only', outcome: 'warn' },
  padding: { word: 'uneven padding', outcome: 'warn' },
};

const px = (r: { widthPx: number; heightPx: number }) => saySize({ width: r.widthPx, height: r.heightPx });
const isDensity = (density: number) => (r: Pick<Rendition, 'density'>) => sameDensity(r.density, density);

type Set = ReturnType<typeof setsOf>[number];

interface CellProps {
  set: Set;
  density: number;
  findings: readonly FileFinding[];
}

/** One density of a set: the file that is there, or the pixels that it would have. */
function DensityCell({ set, density, findings }: CellProps) {
  const file = set.files.find((r) => !r.vector && isDensity(density)(r));
  const master = masterOfSet(set.files);
  const own = findings.filter((f) => f.density !== null && isDensity(density)({ density: f.density }));
  const worst = own.find((f) => RULES[f.rule].outcome === 'fail') ?? own[0];
  const outcome = worst ? RULES[worst.rule].outcome : 'clear';
  const isMissing = own.some((f) => f.rule === 'missing');
  if (!file && !isMissing) return <td className="quiet">–</td>;
  const size = file ?? (master && madeFrom(master, density));
  return (
    <td className={worst && `sizes-${outcome}`} title={own.map((f) => f.text).join(' ')}>
      <span className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</span> {size && px(size)}
      {file && file === master && own.length === 0 && <span className="quiet"> master</span>}
      {own.length > 0 && (
        <b className={`outcome-${outcome}`}> {own.map((f) => RULES[f.rule].word).join(', ')}</b>
      )}
    </td>
  );
}

/** What the scenes ask for, with the cases that ask for most of each side; they open in the close-up. */
function NeededCell({ needed }: { needed: Needed | undefined }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  if (!needed) return <td className="quiet">in no scene</td>;
  const asking = (id: string) => {
    const c = findCase(id, screens);
    return (
      <button type="button" className="why" onClick={() => openCase(store, id)}>
        {c ? caseName(c) : id}
      </button>
    );
  };
  const { caseId, heightCaseId } = needed;
  return (
    <td>
      {px(needed)}
      <br />
      {caseId === heightCaseId ? (
        asking(caseId)
      ) : (
        <>
          width: {asking(caseId)}
          <br />
          height: {asking(heightCaseId)}
        </>
      )}
    </td>
  );
}

interface BlockProps {
  picture: Picture;
  densities: readonly number[];
  findings: readonly FileFinding[];
  needed: readonly Needed[];
}

function PictureRows({ picture, densities, findings, needed }: BlockProps) {
  const sets = setsOf(picture);
  const { busy, make } = useMake();
  return (
    <tbody>
      {sets.map((set, i) => {
        const here = (f: { cut: string; appearance: string | null }) =>
          f.cut === set.cut.cut && (f.appearance ?? set.appearance) === set.appearance;
        return (
          <tr key={`${set.cut.cut} ${set.appearance}`}>
            {i === 0 && (
              <th scope="rowgroup" rowSpan={sets.length + (findings.length > 0 ? 1 : 0)}>
                <PictureThumb picture={picture} width={72} />
                {picture.name}
              </th>
            )}
            <th scope="row">
              {set.cut.cut === 'any' ? '' : `${set.cut.cut}, `}
              {set.appearance}
            </th>
            {densities.map((d) => (
              <DensityCell key={d} set={set} density={d} findings={findings.filter(here)} />
            ))}
            <td>{set.files.some((r) => r.vector) ? 'yes' : <span className="quiet">–</span>}</td>
            <NeededCell needed={needed.find(here)} />
          </tr>
        );
      })}
      {findings.length > 0 && (
        <tr>
          <td className="sizes-findings" colSpan={densities.length + 3}>
            <ul>
              {findings.map((f, i) => {
                const { word, outcome } = RULES[f.rule];
                return (
                  <li key={i}>
                    <b className={`outcome-${outcome}`}>
                      {OUTCOME_SHAPES[outcome]} {word}
                    </b>{' '}
                    {f.text}
                    {canBeMade(f, picture) && (
                      <Button
                        variant="quiet"
                        size="sm"
                        disabled={busy}
                        aria-label={`Make the ${sayDensity(f.density!)}x file of ${picture.name} from its master`}
                        onClick={() => void make([f])}
                      >
                        make it
                      </Button>
                    )}
                  </li>
                );
              })}
            </ul>
          </td>
        </tr>
      )}
    </tbody>
  );
}

/** Where the ink of the largest file of each set lies, as far as the server has said so. */
function useInk(pictures: readonly Picture[]): ReadonlyMap<string, Ink> | null {
  const hashes = pictures.flatMap((p) =>
    setsOf(p).flatMap((s) => (masterOfSet(s.files) ?? s.files[0])?.hash ?? []),
  );
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
          The files of {pictures.length} pictures are being measured on all screens…
        </p>
      </main>
    );
  return <Sizes needed={needed} ink={ink} />;
}

interface SizesProps {
  needed: ReadonlyMap<string, readonly Needed[]>;
  ink: ReadonlyMap<string, Ink>;
}

function Sizes({ needed, ink }: SizesProps) {
  const project = useWorkbench((s) => s.documents.project);
  const { pictures } = project;
  const wanted = project.densities ?? USUAL_DENSITIES;
  const findings = useMemo(
    () => checkFiles({ pictures, densities: wanted, needed, ink }),
    [pictures, wanted, needed, ink],
  );
  const { busy, make } = useMake();
  const makeable = findings.filter((f) =>
    canBeMade(
      f,
      pictures.find((p) => p.id === f.pictureId)!,
    ),
  );
  const all = pictures.flatMap((p) => setsOf(p).flatMap((s) => s.files.filter((r) => !r.vector)));
  const densities = [...new Set([...wanted, ...all.map((r) => r.density)])].toSorted((a, b) => a - b);
  const count = (outcome: 'fail' | 'warn') =>
    findings.filter((f) => RULES[f.rule].outcome === outcome).length;
  return (
    <main className="sizes" id="main">
      <p className="sizes-summary">
        <b className="outcome-fail">
          {OUTCOME_SHAPES.fail} {count('fail')}
        </b>{' '}
        <b className="outcome-warn">
          {OUTCOME_SHAPES.warn} {count('warn')}
        </b>{' '}
        findings on the files of {pictures.length} pictures. A picture with several files should have one for{' '}
        <DensitiesEditor />; the scenes’ needs are px of the framebuffer.
        {makeable.length > 0 && (
          <Button variant="quiet" size="sm" disabled={busy} onClick={() => void make(makeable)}>
            make the {makeable.length} missing or uneven from their masters
          </Button>
        )}
      </p>
      <div className="sizes-scroll" tabIndex={0} role="region" aria-label="Files of all pictures">
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
              findings={findings.filter((f) => f.pictureId === p.id)}
              needed={needed.get(p.id) ?? []}
            />
          ))}
        </table>
      </div>
    </main>
  );
}
