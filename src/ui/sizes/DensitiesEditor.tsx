'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import { USUAL_DENSITIES } from '@/core/pictures/master';
import { sameDensity } from '@/core/pictures/picture';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';

const sayAll = (densities: readonly number[]) => densities.map((d) => `${sayDensity(d)}x`).join(', ');

/** The densities that a picture with several files should have, px per lu; at least one. */
export function DensitiesEditor() {
  const store = useWorkbenchStore();
  const wanted = useWorkbench((s) => s.documents.project.densities) ?? USUAL_DENSITIES;
  const [next, setNext] = useState(4);
  const set = (densities: readonly number[]) =>
    edit(store, stepOf('files.densities'), ({ project }) => {
      project.densities = [...densities].toSorted((a, b) => a - b);
    });
  const isThere = wanted.some((d) => sameDensity(d, next));
  return (
    <EditorPopover label="Densities asked for" button={{ bsPrefix: 'part', children: sayAll(wanted) }}>
      {() => (
        <>
          <ul className="plain-list">
            {wanted.map((d) => (
              <li key={d}>
                <span className="figures">{sayDensity(d)}x</span>
                <Button
                  variant="quiet"
                  size="sm"
                  disabled={wanted.length === 1}
                  aria-label={`Remove ${sayDensity(d)}x`}
                  onClick={() => set(wanted.filter((w) => w !== d))}
                >
                  remove
                </Button>
              </li>
            ))}
          </ul>
          <NumberField
            label="px per lu"
            unit="x"
            min={0.25}
            max={8}
            value={next}
            onChange={setNext}
            onCommit={() => {}}
          />
          <Button variant="quiet" size="sm" disabled={isThere} onClick={() => set([...wanted, next])}>
            ask for {sayDensity(next)}x
          </Button>
        </>
      )}
    </EditorPopover>
  );
}
