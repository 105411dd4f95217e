'use client';
import { useCallback, useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import {
  COMPARED,
  usualValues,
  variantsOf,
  type Compared,
  type ComparedValues,
  type Variant,
} from '@/core/findings/variants';
import type { Case } from '@/core/screens/cases';
import { isPlaced } from '@/core/scene/scene';
import { backgroundOf } from '@/core/solve/mark';
import { useAnswer, type Asking } from '../state/ask';
import { useLook } from '../state/look';
import { useTelling } from '../state/telling';
import { useScene, useWorkbench } from '../state/context';
import { useSettled } from '../state/settled';
import { caseSize } from '../words';
import { MirrorNote } from '../parts/MirrorNote';
import { Choices } from '../parts/Choices';
import { ChosenScreens } from '../parts/ChosenScreens';
import { ValueEditor } from './ValueEditor';
import { VariantRow } from './VariantRow';
import { WeightsFrom } from '../parts/WeightsFrom';

/** As many as there is room for. */
const most = () => (window.innerWidth >= 1600 ? 11 : 7);
const PART_WORDS: Record<Compared, string> = {
  fit: 'size of fit',
  position: 'position',
  size: 'size',
  region: 'region',
  picture: 'picture',
};

/** What a layer is compared with: what somebody has chosen, else the usual. */
function useValues(layerId: string | undefined, chosen: ComparedValues | undefined) {
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  return useMemo(() => {
    const layer = documents.scenes[sceneId]?.layers.find((l) => l.id === layerId);
    return chosen ?? (layer && isPlaced(layer) ? usualValues(layer, documents) : undefined);
  }, [documents, sceneId, layerId, chosen]);
}

function useVariants(
  layerId: string | undefined,
  part: Compared,
  values: ComparedValues | undefined,
): Variant[] {
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  return useMemo(
    () => (layerId ? variantsOf(documents, sceneId, layerId, part, values) : []),
    [documents, sceneId, layerId, part, values],
  );
}

/** For how much of the weight each row is clear; `null` in a row that cannot be drawn. */
function useClear(layerId: string, variants: readonly Variant[]) {
  const asking = useCallback<Asking<(number | null)[]>>(
    (worker, documents, sceneId) =>
      worker.clearFor(
        documents,
        sceneId,
        layerId,
        variants.map((v) => v.patch),
      ),
    [layerId, variants],
  );
  return useAnswer(asking);
}

/** Which layer is compared, by which part of its rule, and on which screens. */
function Head({ layerId, part }: { layerId: string | undefined; part: Compared }) {
  const scene = useScene();
  const look = useLook();
  return (
    <div className="fits-head">
      <Form.Select
        size="sm"
        aria-label="Layer"
        value={layerId ?? ''}
        onChange={(e) => look({ layer: e.target.value })}
      >
        {scene.layers.filter(isPlaced).map((l) => (
          <option key={l.id} value={l.id}>
            {l.name}
          </option>
        ))}
      </Form.Select>
      <Choices
        label="compared by its"
        options={COMPARED.map((value) => ({ value, label: PART_WORDS[value] }))}
        value={part}
        onChoose={(next) => look({ part: next })}
      />
      <ChosenScreens most={most()} />
      <p className="quiet">
        “Clear” is said of this layer alone. <WeightsFrom />
      </p>
    </div>
  );
}

interface TableProps {
  layerId: string;
  part: Compared;
  variants: readonly Variant[];
  values: ComparedValues;
  cases: readonly Case[];
  onValues: (values: ComparedValues) => void;
}

/** A row for each fit or value, a column for each screen. */
function FitsTable({ layerId, part, variants, values, cases, onValues }: TableProps) {
  const settled = useSettled(variants);
  const { found: clear, isOlder } = useClear(layerId, settled);
  return (
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
            <VariantRow
              // By its place: the field that changes what a row says stands in that row.
              key={`${layerId} ${part} ${i}`}
              variant={v}
              value={
                v.chosen !== undefined && (
                  <ValueEditor label={v.label} at={v.chosen} {...{ part, values }} onChange={onValues} />
                )
              }
              cases={cases}
              clear={variants === settled && !isOlder ? clear?.[i] : undefined}
              layerId={layerId}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Fits, or other values of a part of a rule, down; telling screens across; each cell drawn and measured. */
export function FitsLens() {
  const scene = useScene();
  const { layer: picked, part } = useWorkbench((s) => s.view);
  const layers = scene.layers.filter(isPlaced);
  const layerId = layers.some((l) => l.id === picked) ? picked! : (backgroundOf(scene) ?? layers[0])?.id;
  /** what somebody has chosen to compare with, by layer */
  const [chosen, setChosen] = useState<Record<string, ComparedValues>>({});
  const values = useValues(layerId, layerId ? chosen[layerId] : undefined);
  const variants = useVariants(layerId, part, values);
  const cases = useTelling(most);
  return (
    <main className="fits" id="main">
      <MirrorNote />
      <Head {...{ layerId, part }} />
      {variants.length === 0 && <p>This layer has no {PART_WORDS[part]} of its own to compare.</p>}
      {variants.length > 0 && cases.length === 0 && (
        <p role="status">The screens that differ most are being looked for…</p>
      )}
      {layerId && values && variants.length > 0 && cases.length > 0 && (
        <FitsTable
          {...{ layerId, part, variants, values, cases }}
          onValues={(next) => setChosen((all) => ({ ...all, [layerId]: next }))}
        />
      )}
    </main>
  );
}
