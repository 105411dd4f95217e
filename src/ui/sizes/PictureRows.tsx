'use client';
import { findCase } from '@/core/screens/cases';
import { saySize } from '@/core/words/numbers';
import type { FileFinding } from '@/core/files/check';
import type { Needed } from '@/core/survey/needed';
import { madeFrom, masterOfSet, setsOf, type FileSet } from '@/core/pictures/master';
import { sameDensity, type Picture, type Rendition } from '@/core/pictures/picture';
import { PictureThumb } from '../drawing/PictureThumb';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { caseName, OUTCOME_SHAPES } from '../words';
import { FindingLine } from './FindingLine';
import { useMake } from './useMake';

const px = (r: { widthPx: number; heightPx: number }) => saySize({ width: r.widthPx, height: r.heightPx });
const isDensity = (density: number) => (r: Pick<Rendition, 'density'>) => sameDensity(r.density, density);

interface CellProps {
  set: FileSet;
  density: number;
  findings: readonly FileFinding[];
}

/** One density of a set: the file that is there, or the pixels that it would have. */
function DensityCell({ set, density, findings }: CellProps) {
  const file = set.files.find((r) => !r.vector && isDensity(density)(r));
  const master = masterOfSet(set.files);
  const own = findings.filter(
    ({ file: f }) => f.density !== null && isDensity(density)({ density: f.density }),
  );
  const worst = own.find((f) => f.outcome === 'fail') ?? own.find((f) => f.outcome === 'warn');
  const outcome = worst?.outcome ?? 'clear';
  const isMissing = own.some((f) => f.rule === 'missing');
  if (!file && !isMissing) return <td className="quiet">–</td>;
  const size = file ?? (master && madeFrom(master, density));
  return (
    <td className={worst && `sizes-${outcome}`} title={own.map((f) => f.said).join(' ')}>
      <span className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</span> {size && px(size)}
      {file && file === master && own.length === 0 && <span className="quiet"> master</span>}
      {own.length > 0 && <b className={`outcome-${outcome}`}> {own.map((f) => f.word).join(', ')}</b>}
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

/** A picture with each of its sets of files, and what is wrong with them. */
export function PictureRows({ picture, densities, findings, needed }: BlockProps) {
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
              <DensityCell key={d} set={set} density={d} findings={findings.filter((f) => here(f.file))} />
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
              {findings.map((f) => (
                <FindingLine key={f.id} {...{ f, picture, busy }} onMake={() => void make([f])} />
              ))}
            </ul>
          </td>
        </tr>
      )}
    </tbody>
  );
}
