'use client';
import { useCallback, useEffect, useRef, type KeyboardEvent } from 'react';
import { Button } from 'react-bootstrap';
import { useCounted, useWorkbench, useWorkbenchStore } from '../state/context';
import { withAppearance } from '../state/view';
import type { CaseGroup } from './arrange';
import { useArranged } from './useArranged';
import { CaseCell } from './CaseCell';
import { useFinding } from './useFoundCases';
import { countCases } from '../words';
import { isMove, walk } from './walk';

/** CSS px per lu at which all screens are drawn. */
const FIELD_SCALE = 0.15;

const count = (group: CaseGroup) => group.cases.reduce((n, c) => n + 1 + c.alike.length, 0);

/** How many cases are shown, of how many; a finding may be on more of them in the other appearance. */
function FieldCount({ shown }: { shown: number }) {
  const store = useWorkbenchStore();
  const all = useWorkbench((s) => s.cases.length);
  const counted = useCounted().length;
  const appearance = useWorkbench((s) => s.view.appearance);
  const finding = useFinding();
  const other = appearance === 'light' ? 'dark' : 'light';
  const more = finding?.cases.filter((f) => f.caseId.endsWith(other)).length ?? 0;
  const turnOver = () => store.setState(({ view }) => ({ view: withAppearance(view, other) }));
  return (
    <p className="field-count quiet figures">
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

/** Every case that the view asks for, true to scale among themselves. */
export function Field() {
  const store = useWorkbenchStore();
  const view = useWorkbench((s) => s.view);
  const groups = useArranged();
  const total = groups.reduce((sum, g) => sum + count(g), 0);
  const first = groups[0]?.cases[0]?.shown.id;
  const shown = groups.some((g) => g.cases.some((c) => c.shown.id === view.case));
  const selected = shown ? view.case : first;
  const ref = useRef<HTMLDivElement>(null);

  // A link opens on its case, also when that stands further down.
  const opened = useRef(view.case);
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

  const onKeyDown = (event: KeyboardEvent) => {
    if (!isMove(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    const elements = [...(ref.current?.querySelectorAll<HTMLElement>('[data-case]') ?? [])];
    const boxes = elements.map((e) => {
      const { left, top, width, bottom } = e.getBoundingClientRect();
      return { id: e.dataset.case!, left, top, width, bottom };
    });
    const next = walk(boxes, selected, event.key);
    event.preventDefault();
    elements.find((e) => e.dataset.case === next)?.focus();
  };

  return (
    <div className="field" ref={ref} role="region" aria-label="Screens" onKeyDown={onKeyDown}>
      <FieldCount shown={total} />
      {groups.map((group) => (
        <section className="field-group" key={group.id}>
          <h2 id={`group-${group.id}`}>
            {group.label} <span className="quiet figures">{countCases(count(group))}</span>
          </h2>
          <div role="grid" aria-labelledby={`group-${group.id}`}>
            <div className="field-row" role="row">
              {group.cases.map(({ shown: c, alike }) => (
                <CaseCell
                  key={c.id}
                  shown={c}
                  alike={alike.length}
                  scale={FIELD_SCALE}
                  selected={c.id === selected}
                  onSelect={select}
                />
              ))}
            </div>
          </div>
        </section>
      ))}
      {groups.length === 0 && <p className="quiet">No screen is left by these filters.</p>}
    </div>
  );
}
