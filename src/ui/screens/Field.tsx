'use client';
import { useCallback, useEffect, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { FieldHint, LaunchHint } from '../hints/texts';
import { turnedSize } from '@/core/screens/turn';
import { useCounted, useWorkbench, useWorkbenchStore } from '../state/context';
import { withAppearance } from '../state/view';
import { asksOutcomes, casesOfGroup, isTelling, sayGroup, type CaseGroup } from '../state/arrange';
import { useArranged } from '../state/useArranged';
import { CaseCell } from './CaseCell';
import { useFinding } from '../state/useFoundCases';
import { useShownCase } from './useShownCase';
import { SurveyShare } from '../parts/Older';
import { countCases } from '../words';
import { useElementSize } from '../drawing/useElementSize';
import { useWalk } from '../parts/useWalk';

/** CSS px per lu at which all screens are drawn: larger where there are few. */
const FIELD_SCALE = { telling: 0.18, all: 0.15 } as const;

/** How many cases are shown, of how many; a finding may be on more of them in the other appearance. */
function FieldCount({ groups }: { groups: readonly CaseGroup[] }) {
  const store = useWorkbenchStore();
  const all = useWorkbench((s) => s.cases.length);
  const counted = useCounted().length;
  const view = useWorkbench((s) => s.view);
  const { appearance } = view;
  const finding = useFinding();
  const other = appearance === 'light' ? 'dark' : 'light';
  const more = finding?.cases.filter((f) => f.caseId.endsWith(other)).length ?? 0;
  const shown = groups.reduce((sum, g) => sum + casesOfGroup(g), 0);
  const drawn = groups.reduce((sum, g) => sum + g.cases.length, 0);
  const turnOver = () => store.setState(({ view }) => ({ view: withAppearance(view, other) }));
  return (
    <p className="field-count quiet figures">
      {isTelling(view) && `${drawn} that differ stand for `}
      {finding
        ? `${shown} of the ${countCases(finding.cases.length)} of this finding, in ${appearance}`
        : `${shown} of ${countCases(all)}, in ${appearance}`}
      {counted < all && `; ${all - counted} outside the allowed ratios are not counted`}
      {more > 0 && (
        <Button variant="quiet" size="sm" onClick={turnOver}>
          {more} in {other}
        </Button>
      )}
    </p>
  );
}

/** Whether what is shown is not known yet. */
const useWaits = () => useWorkbench((s) => asksOutcomes(s.view) && s.surveyed === null);

/** Why no case is shown. */
function NoCases() {
  const waits = useWaits();
  const counted = useCounted().length;
  return waits ? (
    <p className="quiet" role="status">
      <SurveyShare of={counted} /> Then those that tell most are shown here.
    </p>
  ) : (
    <p className="quiet">No screen is left by these filters.</p>
  );
}

/** Room of a case beside its drawing, CSS px. */
const CASE_ROOM = 8;

/** CSS px per lu at which all screens are drawn, so that the widest of them has room. */
function scaleFor(groups: readonly CaseGroup[], isTelling: boolean, room: number): number {
  const scale = isTelling ? FIELD_SCALE.telling : FIELD_SCALE.all;
  const widths = groups.flatMap((g) => g.cases.map(({ shown: c }) => turnedSize(c.screen, c.rotation).width));
  return room > 0 ? Math.min(scale, (room - CASE_ROOM) / Math.max(1, ...widths)) : scale;
}

interface GroupProps {
  group: CaseGroup;
  scale: number;
  stop: string | undefined;
  onSelect: (id: string) => void;
}

/** Cases that belong together, under their name. */
function Group({ group, scale, stop, onSelect }: GroupProps) {
  const chosen = useWorkbench((s) => s.view.case);
  const telling = useWorkbench((s) => isTelling(s.view));
  return (
    <section className={telling ? 'field-group field-telling' : 'field-group'}>
      <h2 id={`group-${group.id}`} className={telling ? 'visually-hidden' : undefined}>
        {group.label} <span className="quiet figures">{sayGroup(group)}</span>
      </h2>
      <div role="grid" aria-labelledby={`group-${group.id}`}>
        <div className="field-row" role="row">
          {group.cases.map(({ shown: c, alike }) => (
            <CaseCell
              key={c.id}
              shown={c}
              alike={alike.length}
              scale={scale}
              selected={c.id === chosen}
              isStop={c.id === stop}
              onSelect={onSelect}
            />
          ))}
        </div>
      </div>
    </section>
  );
}

/** The cases that the view asks for, true to scale among themselves. */
export function Field() {
  const store = useWorkbenchStore();
  const groups = useArranged();
  const stop = useShownCase(groups);
  const waits = useWaits();
  const ref = useRef<HTMLDivElement>(null);
  const { width } = useElementSize(ref);
  const telling = useWorkbench((s) => isTelling(s.view));
  const scale = scaleFor(groups, telling, width);

  // A link opens on its case, also when that stands further down.
  const opened = useRef(stop);
  useEffect(() => {
    const element = opened.current ? document.getElementById(`case-${opened.current}`) : null;
    element?.scrollIntoView({ block: 'nearest' });
  }, []);

  const select = useCallback(
    (id: string) => {
      const { view: now } = store.getState();
      if (now.case !== id) store.setState({ view: { ...now, case: id } });
    },
    [store],
  );

  const onKeyDown = useWalk(ref, stop);

  return (
    <div className="field" ref={ref} role="region" aria-label="Screens" onKeyDown={onKeyDown}>
      <FieldHint />
      <LaunchHint />
      {!waits && <FieldCount groups={groups} />}
      {groups.map((group) => (
        <Group key={group.id} {...{ group, scale, stop }} onSelect={select} />
      ))}
      {groups.length === 0 && <NoCases />}
    </div>
  );
}
