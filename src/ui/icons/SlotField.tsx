'use client';
import { useCallback, useRef } from 'react';
import { pxOfSlot, saySlotSize, slotId, slotSetsOf } from '@/core/icons/slots';
import type { Slot, SlotSet } from '@/core/icons/sets';
import { caseId, findCase } from '@/core/screens/cases';
import { turnedSize } from '@/core/screens/turn';
import { sayDensity, saySize } from '@/core/words/numbers';
import { CaseCell } from '../screens/CaseCell';
import { useWalk } from '../parts/useWalk';
import { useWorkbench, useWorkbenchStore } from '../state/context';

/** CSS px that the longer side of a slot takes at most; those that are smaller are shown as large as they are. */
const LARGEST = 128;

/** “home screen, 60 at 3x, 180 × 180 px” */
const sayFile = (slot: Slot) => {
  const { usage, density } = slot;
  const own = density === 1 ? '' : `${saySlotSize(slot)} at ${sayDensity(density)}x, `;
  return `${usage}, ${own}${saySize(pxOfSlot(slot))} px`;
};

interface SetProps {
  set: SlotSet;
  stop: string | undefined;
  onSelect: (id: string) => void;
}

/** The slots of one set, each as large as it is seen, under what they are for. */
function SetOfSlots({ set, stop, onSelect }: SetProps) {
  const screens = useWorkbench((s) => s.sceneScreens);
  const appearance = useWorkbench((s) => s.view.appearance);
  const chosen = useWorkbench((s) => s.view.case);
  return (
    <section className="field-group slot-set">
      <h2 id={`slots-of-${set.id}`}>
        {set.label} <span className="quiet">{set.note}</span>
      </h2>
      <div role="grid" aria-labelledby={`slots-of-${set.id}`}>
        <div className="field-row" role="row">
          {set.slots.map((slot) => {
            const c = findCase(caseId(slotId(set, slot), 0, appearance), screens);
            if (!c) return null;
            const { width, height } = turnedSize(c.screen, c.rotation);
            return (
              <CaseCell
                key={c.id}
                shown={c}
                alike={0}
                scale={Math.min(1, LARGEST / Math.max(width, height))}
                size={sayFile(slot)}
                selected={c.id === chosen}
                isStop={c.id === stop}
                onSelect={onSelect}
              />
            );
          })}
        </div>
      </div>
    </section>
  );
}

/** An icon in all of its slots. */
export function SlotField() {
  const store = useWorkbenchStore();
  const project = useWorkbench((s) => s.documents.project);
  const cases = useWorkbench((s) => s.cases);
  const chosen = useWorkbench((s) => s.view.case);
  const appearance = useWorkbench((s) => s.view.appearance);
  const sets = slotSetsOf(project);
  const here = cases.filter((c) => c.appearance === appearance);
  const stop = (here.find((c) => c.id === chosen) ?? here[0])?.id;
  const select = useCallback(
    (id: string) => store.setState(({ view }) => (view.case === id ? {} : { view: { ...view, case: id } })),
    [store],
  );
  const ref = useRef<HTMLDivElement>(null);
  const onKeyDown = useWalk(ref, stop);
  return (
    <div className="field" ref={ref} role="region" aria-label="Slots" onKeyDown={onKeyDown}>
      {sets.map((set) => (
        <SetOfSlots key={set.id} set={set} stop={stop} onSelect={select} />
      ))}
    </div>
  );
}
