'use client';
import { useCallback, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { COMPARED, variantsOf, type Compared, type Variant } from '@/core/findings/variants';
import { sayShare } from '@/core/formats/numbers';
import { applyPatch } from '@/core/scene/patch';
import { isPlaced } from '@/core/scene/scene';
import type { Case } from '@/core/screens/cases';
import { backgroundOf } from '@/core/survey/mark';
import { useAsked, type Asking } from '../state/ask';
import { useTelling } from '../state/telling';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { caseSize } from '../words';
import { Choices } from '../workbench/Choices';
import { FitCell } from './FitCell';

/** As many as there is room for. */
const most = () => (window.innerWidth >= 1600 ? 11 : 7);
const PART_WORDS: Record<Compared, string> = {
  fit: 'size of fit',
  position: 'position',
  size: 'size',
  region: 'region',
  picture: 'picture',
};

function useVariants(layerId: string | undefined, part: Compared): Variant[] {
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  return useMemo(
    () => (layerId ? variantsOf(documents, sceneId, layerId, part) : []),
    [documents, sceneId, layerId, part],
  );
}

/** For how much of the weight each row is clear; `null` in a row that cannot be drawn. */
function useClear(layerId: string | undefined, variants: readonly Variant[]) {
  const asking = useCallback<Asking<(number | null)[]>>(
    (worker, documents, sceneId) =>
      worker.clearFor(
        documents,
        sceneId,
        layerId!,
        variants.map((v) => v.patch),
      ),
    [layerId, variants],
  );
  return useAsked(layerId === undefined ? null : asking);
}

interface RowProps {
  variant: Variant;
  cases: readonly Case[];
  /** `undefined` until it is known */
  clear: number | null | undefined;
  layerId: string;
}

function VariantRow({ variant, cases, clear, layerId }: RowProps) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const after = useMemo(() => applyPatch(documents, variant.patch), [documents, variant]);
  const inUse = variant.patch.length === 0;
  const use = () =>
    edit(store, (d) => {
      Object.assign(d, after);
    });
  return (
    <tr className={inUse ? 'fits-in-use' : undefined}>
      <th scope="row">
        <b>{variant.label}</b>
        <span className="figures quiet">
          {clear === undefined && '…'}
          {clear === null && 'cannot be drawn'}
          {typeof clear === 'number' && `clear for ${sayShare(clear)}`}
        </span>
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

/** Fits, or other values of a part of a rule, down; telling screens across; each cell drawn and measured. */
export function FitsLens() {
  const scene = useScene();
  const [picked, setPicked] = useState<string | null>(null);
  const [part, setPart] = useState<Compared>('fit');
  const layers = scene.layers.filter(isPlaced);
  const layerId = layers.some((l) => l.id === picked) ? picked! : (backgroundOf(scene) ?? layers[0])?.id;
  const variants = useVariants(layerId, part);
  const cases = useTelling(most);
  const clear = useClear(layerId, variants);
  return (
    <main className="fits" id="main">
      <div className="fits-head">
        <Form.Select
          size="sm"
          aria-label="Layer"
          value={layerId ?? ''}
          onChange={(e) => setPicked(e.target.value)}
        >
          {layers.map((l) => (
            <option key={l.id} value={l.id}>
              {l.name}
            </option>
          ))}
        </Form.Select>
        <Choices
          label="compared by its"
          options={COMPARED.map((value) => ({ value, label: PART_WORDS[value] }))}
          value={part}
          onChoose={setPart}
        />
        <p className="quiet">
          On the screens between which the measures differ most; “clear” is said of this layer alone. Weights
          are illustrative until you import yours.
        </p>
      </div>
      {variants.length === 0 ? (
        <p>This layer has no {PART_WORDS[part]} of its own to compare.</p>
      ) : (
        <div className="fits-scroll" tabIndex={0} role="region" aria-label="Comparison">
          <table className="fits-table">
            <thead>
              <tr>
                <th scope="col">{PART_WORDS[part]}</th>
                {cases.map((c) => (
                  <th scope="col" key={c.id} className="figures">
                    {caseSize(c)}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {variants.map((v, i) => (
                <VariantRow key={v.label} variant={v} cases={cases} clear={clear?.[i]} layerId={layerId!} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </main>
  );
}
