'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { slotScreens } from '@/core/icons/slots';
import { findCase } from '@/core/screens/cases';
import { sayDensity, saySize } from '@/core/words/numbers';
import type { FileFinding } from '@/core/files/check';
import type { Needed } from '@/core/survey/needed';
import { madeFrom, masterOfSet, setsOf, type FileSet } from '@/core/pictures/master';
import { sameDensity, type Picture, type Rendition } from '@/core/pictures/picture';
import { Preview } from '../drawing/Preview';
import { PictureThumb } from '../drawing/PictureThumb';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { caseName, OUTCOME_SHAPES } from '../words';
import { MakeDialog } from './make/MakeDialog';
import { FindingLine } from './FindingLine';
import { canBeMade, useMake } from './useMake';

const px = (r: { widthPx: number; heightPx: number }) => saySize({ width: r.widthPx, height: r.heightPx });
const isDensity = (density: number) => (r: Pick<Rendition, 'density'>) => sameDensity(r.density, density);

interface CellProps {
  set: FileSet;
  density: number;
  findings: readonly FileFinding[];
  /** CSS px of the drawing per px of a file */
  scale: number;
  busy: boolean;
  onMake: (f: FileFinding) => void;
}

/** Whether a file was made here from one of fewer px per lu. */
const isEnlarged = ({ madeFrom: from, density }: Rendition, { picture }: FileSet): boolean =>
  picture.cuts.some((c) =>
    c.renditions.some((r) => r.hash === from && !r.vector && r.density < density - 1e-6),
  );

/** CSS px of the longest side of the largest file of a picture; the others are as much smaller as they are. */
const LARGEST_THUMB = 56;

const thumbScale = ({ cuts }: Picture): number =>
  LARGEST_THUMB / Math.max(1, ...cuts.flatMap((c) => c.renditions.flatMap((r) => [r.widthPx, r.heightPx])));

/** A file as large beside the others of its picture as it is. */
function FileThumb({ file, scale }: { file: Rendition; scale: number }) {
  const [width, height] = [file.widthPx * scale, file.heightPx * scale];
  const size = { width: Math.max(1, width), height: Math.max(1, height) };
  return (
    <Preview className="file-thumb" file={file} px={{ width: width * 2, height: height * 2 }} size={size} />
  );
}

/** Where a file comes from: that others are made from it, or that it was enlarged. */
function Descent({ file, set, isMaster }: { file: Rendition; set: FileSet; isMaster: boolean }) {
  if (isMaster) return <span className="quiet"> master</span>;
  return isEnlarged(file, set) ? <b className="outcome-warn"> enlarged</b> : null;
}

/** One density of a set: the file that is there, or the pixels that it would have. */
function DensityCell({ set, density, findings, scale, busy, onMake }: CellProps) {
  const file = set.files.find((r) => !r.vector && isDensity(density)(r));
  const master = masterOfSet(set.files);
  const own = findings.filter(
    ({ file: f }) => f.density !== null && isDensity(density)({ density: f.density }),
  );
  const worst = own.find((f) => f.outcome === 'fail') ?? own.find((f) => f.outcome === 'warn');
  const outcome = worst?.outcome ?? 'clear';
  const makeable = own.find((f) => canBeMade(f, set.picture));
  const isMissing = own.some((f) => f.rule === 'missing');
  if (!file && !isMissing) return <td className="quiet">–</td>;
  const size = file ?? (master && madeFrom(master, density));
  return (
    <td className={worst && `sizes-${outcome}`} title={own.map((f) => f.said).join(' ')}>
      {file && <FileThumb file={file} scale={scale} />}
      <span className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</span> {size && px(size)}
      {file && <Descent file={file} set={set} isMaster={file === master && own.length === 0} />}
      {own.length > 0 && <b className={`outcome-${outcome}`}> {own.map((f) => f.word).join(', ')}</b>}
      {makeable && (
        <Button
          variant="quiet"
          size="sm"
          disabled={busy}
          aria-label={`Make the ${sayDensity(density)}x file of ${set.picture.name} from its master`}
          onClick={() => onMake(makeable)}
        >
          make it
        </Button>
      )}
    </td>
  );
}

/** What the scenes ask for, with the cases that ask for most of each side; they open in the close-up. */
function NeededCell({ needed }: { needed: Needed | undefined }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.screens);
  const project = useWorkbench((s) => s.documents.project);
  if (!needed) return <td className="quiet">in no scene</td>;
  const asking = (id: string) => {
    const c = findCase(id, screens) ?? findCase(id, slotScreens(project));
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

/** What is wrong with the files of a picture, and what makes others. */
function BelowRows({ picture, findings, span }: Pick<BlockProps, 'picture' | 'findings'> & { span: number }) {
  const [making, setMaking] = useState(false);
  return (
    <tr>
      <td className="sizes-findings" colSpan={span}>
        {findings.length > 0 && (
          <ul>
            {findings.map((f) => (
              <FindingLine key={f.id} f={f} picture={picture} />
            ))}
          </ul>
        )}
        <Button
          variant="quiet"
          size="sm"
          aria-label={`Make files of ${picture.name}`}
          onClick={() => setMaking(true)}
        >
          make files
        </Button>
        {making && <MakeDialog picture={picture} onClose={() => setMaking(false)} />}
      </td>
    </tr>
  );
}

/** A picture with each of its sets of files, and what is wrong with them. */
export function PictureRows({ picture, densities, findings, needed }: BlockProps) {
  const sets = setsOf(picture);
  const scale = thumbScale(picture);
  const { busy, make } = useMake();
  return (
    <tbody>
      {sets.map((set, i) => {
        const here = (f: { cut: string; appearance: string | null }) =>
          f.cut === set.cut.cut && (f.appearance ?? set.appearance) === set.appearance;
        return (
          <tr key={`${set.cut.cut} ${set.appearance}`}>
            {i === 0 && (
              <th scope="rowgroup" rowSpan={sets.length + 1}>
                <PictureThumb picture={picture} width={72} />
                {picture.name}
              </th>
            )}
            <th scope="row">
              {set.cut.cut === 'any' ? '' : `${set.cut.cut}, `}
              {set.appearance}
            </th>
            {densities.map((d) => (
              <DensityCell
                key={d}
                set={set}
                density={d}
                findings={findings.filter((f) => here(f.file))}
                scale={scale}
                busy={busy}
                onMake={(f) => void make([f])}
              />
            ))}
            <td>{set.files.some((r) => r.vector) ? 'yes' : <span className="quiet">–</span>}</td>
            <NeededCell needed={needed.find(here)} />
          </tr>
        );
      })}
      <BelowRows {...{ picture, findings }} span={densities.length + 3} />
    </tbody>
  );
}
