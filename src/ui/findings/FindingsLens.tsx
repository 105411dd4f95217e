'use client';
import { isIcon } from '@/core/icons/slots';
import { hasToJudge } from '@/core/scene/layers';
import { foundCounts } from '@/core/review/counts';
import { useCounted, useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { useFindingsAreOlder } from '../state/older';
import { FINDING_ORDERS, type View } from '../state/view';
import { NOTHING_TO_JUDGE, OUTCOME_SHAPES } from '../words';
import { MirrorNote } from '../parts/MirrorNote';
import { Choices } from '../parts/Choices';
import { Older, OlderNote, SurveyShare } from '../parts/Older';
import { AppliedNote } from '../cause/AppliedNote';
import { FindingList } from './FindingList';
import { LimitsList } from './LimitsList';
import { ScreenList } from './ScreenList';
import { WeightedTotals } from './WeightedTotals';

const ORDER_WORDS: Record<View['order'], string> = {
  cause: 'by cause',
  layer: 'by layer',
  screen: 'by screen',
  limits: 'limits',
};

/** How many findings there are, and how much of the weight they leave clear. */
function Head() {
  const scene = useScene();
  const findings = useWorkbench((s) => s.found);
  const isOlder = useFindingsAreOlder();
  const counted = useCounted().length;
  if (!findings)
    return (
      <p role="status">
        <SurveyShare of={counted} />
      </p>
    );
  const { fail, warn, accepted } = foundCounts(findings);
  return (
    <p>
      <b className="outcome-fail">
        {OUTCOME_SHAPES.fail} {fail}
      </b>{' '}
      <b className="outcome-warn">
        {OUTCOME_SHAPES.warn} {warn}
      </b>{' '}
      {findings.length === 1 ? 'finding' : 'findings'} on {scene.name}
      {accepted > 0 && ` and ${accepted} accepted`},{' '}
      {isIcon(scene) ? 'in all slots, light and dark.' : 'over all screens, orientations and appearances.'}{' '}
      <OlderNote when={isOlder} />
    </p>
  );
}

/** The lists of what is wrong. */
function Lists({ order }: { order: View['order'] }) {
  const scene = useScene();
  const findings = useWorkbench((s) => s.found);
  if (order === 'limits') return <LimitsList />;
  if (!findings) return null;
  if (!hasToJudge(scene)) return <p className="findings-none">{NOTHING_TO_JUDGE}</p>;
  if (findings.length === 0)
    return (
      <p className="findings-none">
        <span className="outcome-clear">{OUTCOME_SHAPES.clear}</span> Nothing is wrong with this scene on any
        screen.
      </p>
    );
  return order === 'screen' ? (
    <ScreenList findings={findings} />
  ) : (
    <FindingList findings={findings} order={order} />
  );
}

/** Everything that is wrong with the open scene, why, and what would mend it; and the limits that say so. */
export function FindingsLens() {
  const store = useWorkbenchStore();
  const order = useWorkbench((s) => s.view.order);
  const isOlder = useFindingsAreOlder();
  return (
    <main className="findings" id="main">
      <MirrorNote />
      <div className="findings-head">
        <Head />
        <Choices
          label="List"
          options={FINDING_ORDERS.map((value) => ({ value, label: ORDER_WORDS[value] }))}
          value={order}
          onChoose={(next) => store.setState(({ view }) => ({ view: { ...view, order: next } }))}
        />
      </div>
      <Older when={isOlder}>
        {order !== 'limits' && <WeightedTotals />}
        <AppliedNote />
        <Lists order={order} />
      </Older>
    </main>
  );
}
