'use client';
import { drawCase } from '@/formats/api/cases';
import { addressOf } from '@/formats/api/operation';
import { Button } from 'react-bootstrap';
import { FREE_WINDOW } from '@/core/screens/free';
import { isCounted } from '@/core/screens/counted';
import { naturalSize } from '@/core/screens/turn';
import { sayDensity, saySize } from '@/core/words/numbers';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useCaseResult, useChosenCase } from '../state/case-result';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { useIsMeasured } from '../state/outside';
import { sayWindow, type View } from '../state/view';
import { caseName } from '../words';
import { BreachList } from './BreachList';
import { Dimensions } from './Dimensions';
import { Guides } from './Guides';
import { MeasureTable } from './MeasureTable';

/** CSS px that the drawing itself may take. */
const ROOM = { width: 200, height: 320 };

/** One case, large, with what was measured on it. */
export function CloseUp() {
  const documents = useWorkbench((s) => s.documents);
  const scene = useScene();
  const store = useWorkbenchStore();
  const c = useChosenCase();
  const look = (change: Partial<View>) => store.setState(({ view }) => ({ view: { ...view, ...change } }));
  const result = useCaseResult(c, documents);
  const isMeasured = useIsMeasured(documents);
  const isOut = c !== null && !isCounted(c, documents.project.ratios);
  if (!c || !result) {
    return (
      <aside className="close-up" aria-label="Close-up">
        <p className="quiet">Choose a screen to see it large, with its figures.</p>
      </aside>
    );
  }
  const { screen } = result.regions;
  const isFree = c.screen.id === FREE_WINDOW;
  const scale = Math.min(ROOM.width / screen.width, ROOM.height / screen.height);
  const { id: project } = documents.project;
  const address = addressOf(drawCase, { project, scene: scene.id, case: result.id });
  return (
    <aside className="close-up" aria-label="Close-up">
      <h2>{caseName(c)}</h2>
      <p className="quiet figures">
        {saySize(naturalSize(c.screen))} lu at {sayDensity(c.screen.density)} px per lu ·{' '}
        {saySize(c.screen.framebufferPx)} px
        <br />
        {c.screen.label}
        {isFree ? (
          ', at the density of the screen that was chosen'
        ) : (
          <>
            {' '}
            · <a href={address}>as PNG</a>
          </>
        )}
      </p>
      {!isFree && (
        <p className="close-up-ways">
          <Button variant="quiet" size="sm" onClick={() => look({ middle: 'pair', pin: c.id })}>
            compare
          </Button>
          <Button
            variant="quiet"
            size="sm"
            onClick={() => look({ middle: 'window', window: sayWindow(screen) })}
          >
            as a free window
          </Button>
        </p>
      )}
      {scene.direction === 'rtl' && <p className="quiet">Right-to-left preview</p>}
      <div className="close-up-drawing">
        <CaseCanvas result={result} scale={scale}>
          <Guides result={result} />
        </CaseCanvas>
        <Dimensions regions={result.regions} scale={scale} />
      </div>
      {isMeasured ? (
        <>
          {isOut && (
            <p className="quiet">Its ratio lies outside those that the project allows: it is not counted.</p>
          )}
          <BreachList result={result} />
          <MeasureTable result={result} />
        </>
      ) : (
        <p className="quiet" role="status">
          Being measured…
        </p>
      )}
    </aside>
  );
}
