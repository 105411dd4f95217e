'use client';
import { drawCase } from '@/formats/api/cases';
import { addressOf } from '@/formats/api/operation';
import { useRef } from 'react';
import { Button } from 'react-bootstrap';
import { FREE_WINDOW } from '@/core/screens/free';
import { isCounted } from '@/core/screens/counted';
import { naturalSize } from '@/core/screens/turn';
import type { Case } from '@/core/screens/cases';
import { SLOT_KIND } from '@/core/screens/screen';
import type { Size } from '@/core/geometry/rect';
import { gravest } from '@/core/measure/judge';
import { ownerName } from '@/core/measure/words';
import { sayBreached } from '@/core/solve/summary';
import type { CaseResult } from '@/core/survey/survey';
import { sayDensity, saySize } from '@/core/words/numbers';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { CloseDrawer } from '../parts/DrawerWays';
import { useElementSize } from '../drawing/useElementSize';
import { WorstHere } from '../cause/WorstHere';
import { useCaseResult, useChosenCase } from '../state/case-result';
import { useScene, useWorkbench } from '../state/context';
import { Screenshots } from '../screenshot/Screenshots';
import { useIsMeasured } from '../state/outside';
import { useLook } from '../state/look';
import { sayWindow } from '../state/view';
import { caseName, OUTCOME_SHAPES } from '../words';
import { BreachList } from './BreachList';
import { DIMENSION_ROOM, Dimensions } from './Dimensions';
import { Hands } from './Hands';
import { Guides } from './Guides';
import { MeasureTable } from './MeasureTable';
import { Spot } from './Spot';

/** CSS px that the drawing itself takes at least, and how high it may be as a part of its column. */
const LEAST = { width: 200, height: 240 };
const MOST_OF_HEIGHT = { column: 0.34, enlarged: 0.86 } as const;

/** CSS px that the drawing may take in a column of a size; what is narrower than the least is taken as it is. */
function roomIn({ width, height }: Size, isEnlarged: boolean): Size {
  if (width <= 0) return LEAST;
  const share = MOST_OF_HEIGHT[isEnlarged ? 'enlarged' : 'column'];
  return {
    width: width - DIMENSION_ROOM.left - DIMENSION_ROOM.right,
    height: Math.max(LEAST.height, height * share),
  };
}

interface HeadProps {
  c: Case;
  result: CaseResult;
}

/** What can be done with the case that is looked at. */
function Ways({ c, result }: HeadProps) {
  const scene = useScene();
  const project = useWorkbench((s) => s.documents.project.id);
  const isEnlarged = useWorkbench((s) => s.view.enlarged ?? false);
  const look = useLook();
  const isFree = c.screen.id === FREE_WINDOW;
  const address = addressOf(drawCase, { project, scene: scene.id, case: result.id });
  return (
    <p className="close-up-ways">
      {!isFree && (
        <a className="btn btn-quiet btn-sm" href={address} target="_blank" rel="noreferrer">
          as PNG
        </a>
      )}
      {!isFree && c.screen.kind !== SLOT_KIND && (
        <>
          <Button variant="quiet" size="sm" onClick={() => look({ middle: 'pair', pin: c.id })}>
            compare
          </Button>
          <Button
            variant="quiet"
            size="sm"
            onClick={() => look({ middle: 'window', window: sayWindow(result.regions.screen) })}
          >
            free window
          </Button>
        </>
      )}
      <Button
        variant="quiet"
        size="sm"
        aria-pressed={isEnlarged}
        onClick={() => look({ enlarged: isEnlarged ? undefined : true })}
      >
        {isEnlarged ? 'reduce' : 'enlarge'}
      </Button>
    </p>
  );
}

/** Which screen it is, and what can be done with it. */
function Head({ c, result }: HeadProps) {
  return (
    <>
      <h2>{caseName(c)}</h2>
      <p className="quiet figures">
        {saySize(naturalSize(c.screen))}{' '}
        <abbr title="Logical units: the unit of the layout; one is a CSS pixel">lu</abbr> at{' '}
        {sayDensity(c.screen.density)} px per lu · {saySize(c.screen.framebufferPx)} device px
        {c.screen.kind !== SLOT_KIND && (
          <>
            <br />
            {c.screen.label}
          </>
        )}
        {c.screen.id === FREE_WINDOW && ', at the density of the screen that was chosen'}
      </p>
      <Ways {...{ c, result }} />
    </>
  );
}

/** What was measured on the case: what is worst, what else is wrong, and every figure. */
function Measured({ c, result }: { c: Case; result: CaseResult }) {
  const documents = useWorkbench((s) => s.documents);
  const isJudged = c.screen.id !== FREE_WINDOW && isCounted(c, documents.project.ratios);
  const breach = isJudged ? gravest(result.breaches) : null;
  const said =
    breach &&
    `${OUTCOME_SHAPES[breach.limit.outcome]} ${ownerName(breach.subjectId, result.layers)}: ${sayBreached(breach, result)}`;
  return (
    <>
      {!isCounted(c, documents.project.ratios) && (
        <p className="quiet">Its ratio lies outside those that the project allows: it is not counted.</p>
      )}
      {isJudged && <WorstHere caseId={c.id} breach={breach} said={said ?? ''} />}
      <BreachList result={result} but={breach} />
      <MeasureTable result={result} />
      {c.screen.id !== FREE_WINDOW && c.screen.kind !== SLOT_KIND && <Screenshots key={c.id} c={c} />}
    </>
  );
}

/** One case, large, with what was measured on it. */
export function CloseUp() {
  const documents = useWorkbench((s) => s.documents);
  const isEnlarged = useWorkbench((s) => s.view.enlarged ?? false);
  const scene = useScene();
  const c = useChosenCase();
  const result = useCaseResult(c, documents);
  const isMeasured = useIsMeasured(documents);
  const ref = useRef<HTMLDivElement>(null);
  const room = roomIn(useElementSize(ref), isEnlarged);
  const screen = result?.regions.screen;
  const scale = screen ? Math.min(room.width / screen.width, room.height / screen.height) : 1;
  const breach = result && isMeasured ? gravest(result.breaches) : null;
  return (
    <div
      className="close-up"
      role={isEnlarged ? 'main' : 'complementary'}
      id={isEnlarged ? 'main' : undefined}
      aria-label="Close-up"
      ref={ref}
    >
      <CloseDrawer />
      {c && result ? (
        <>
          <Head c={c} result={result} />
          {scene.direction === 'rtl' && <p className="quiet">Right-to-left preview</p>}
          <div className="close-up-drawing" data-shows={c.screen.shows}>
            <CaseCanvas result={result} scale={scale}>
              <Guides result={result} />
              {breach && <Spot breach={breach} result={result} scale={scale} />}
            </CaseCanvas>
            <Dimensions regions={result.regions} scale={scale} />
            <Hands c={c} result={result} scale={scale} />
          </div>
          {isMeasured ? (
            <Measured c={c} result={result} />
          ) : (
            <p className="quiet" role="status">
              Being measured…
            </p>
          )}
        </>
      ) : (
        <p className="quiet">Choose a screen to see it large, with its figures.</p>
      )}
    </div>
  );
}
