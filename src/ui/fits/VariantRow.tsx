'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import type { Variant } from '@/core/findings/variants';
import { sayWeight } from '@/core/words/numbers';
import { isRepeating } from '@/core/fit/rule';
import { applyPatch } from '@/core/patch/patch';
import type { Case } from '@/core/screens/cases';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { editBy } from '../state/edit';
import { FitCell } from './FitCell';

interface Props {
  variant: Variant;
  /** its value, as a part that can be changed; without it the label alone */
  value?: ReactNode;
  cases: readonly Case[];
  /** `undefined` until it is known */
  clear: number | null | undefined;
  layerId: string;
}

/** One value of what is compared: for how much of the weight it is clear, and how it looks on each of a few cases. */
export function VariantRow({ variant, value, cases, clear, layerId }: Props) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const after = useMemo(() => applyPatch(documents, variant.patch), [documents, variant]);
  const layer = after.scenes[sceneId]?.layers.find((l) => l.id === layerId);
  // Of copies neither crop nor keep areas are measured: a share that counts as clear what nobody looked at says nothing.
  const isCopied = layer?.kind === 'picture' && isRepeating(layer.fit);
  const inUse = variant.patch.length === 0;
  const use = () =>
    editBy(store, stepOf('layer.fit', layer?.name ?? 'a layer', variant.label), variant.patch);
  return (
    <tr className={inUse ? 'fits-in-use' : undefined}>
      <th scope="row">
        {value || <b>{variant.label}</b>}
        <span className="figures quiet">
          {clear === undefined && !isCopied && 'measuring…'}
          {clear === null && 'cannot be drawn'}
          {typeof clear === 'number' && !isCopied && `clear for ${sayWeight(clear)}`}
        </span>
        {isCopied && (
          <span className="quiet fits-note">
            not compared: crop and keep areas of a repeated picture are not measured
          </span>
        )}
        {inUse ? (
          <span className="quiet">in use</span>
        ) : (
          <Button
            variant="quiet"
            size="sm"
            disabled={clear === null}
            aria-label={`Use ${variant.label}`}
            onClick={use}
          >
            use it
          </Button>
        )}
      </th>
      {cases.map((c) => (
        <FitCell key={c.id} shown={c} documents={after} inUse={inUse} layerId={layerId} />
      ))}
    </tr>
  );
}
