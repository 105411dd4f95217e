'use client';
import { useCallback, useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { arrange, type CaseGroup } from './arrange';
import { CaseCell } from './CaseCell';
import { useFoundCases } from './useFoundCases';
import { isMove, walk } from './walk';

/** CSS px per lu at which all screens are drawn. */
const FIELD_SCALE = 0.15;

const count = (group: CaseGroup) => group.cases.reduce((n, c) => n + 1 + c.alike.length, 0);

/** Every case that the view asks for, true to scale among themselves. */
export function Field() {
  const store = useWorkbenchStore();
  const cases = useWorkbench((s) => s.cases);
  const view = useWorkbench((s) => s.view);
  // The outcome filter alone depends on what was found; without it the groups stay as they are.
  const summaries = useWorkbench((s) => (s.view.outcome ? s.summaries : null));
  const marks = useWorkbench((s) => (s.view.ratios ? s.marks : null));
  const found = useFoundCases();
  const groups = useMemo(
    () => arrange(cases, view, { summaries: summaries ?? new Map(), marks: marks ?? new Map(), found }),
    [cases, view, summaries, marks, found],
  );
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
      {groups.map((group) => (
        <section className="field-group" key={group.id}>
          <h2 id={`group-${group.id}`}>
            {group.label} <span className="quiet figures">{count(group)} screens</span>
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
