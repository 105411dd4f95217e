'use client';
import { stepOf } from '@/core/steps/commands';
import { memo, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import { isPlaced, type Layer, type PlacedLayer } from '@/core/scene/scene';
import { inDrawingOrder } from '@/core/survey/line-up';
import { layerSentence, picturePart, sayWhen, whenSentence } from '@/core/sentences/layer';
import type { Names } from '@/core/sentences/words';
import { masterOf } from '../drawing/PictureThumb';
import { useAskedPath } from '../state/asked-part';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit, inLayer } from '../state/edit';
import { OUTCOME_SHAPES, sayFile } from '../words';
import { faultOf, faultsOf, useCauses } from './causes';
import { SentenceHint } from '../hints/texts';
import { CloseDrawer } from '../parts/DrawerWays';
import { useRoving } from '../parts/useRoving';
import { FontsTray } from './FontsTray';
import { PicturesTray } from './PicturesTray';
import { PictureWell } from './PictureWell';
import { AddLayer } from './AddLayer';
import { LayerMenu } from './LayerMenu';
import { partFor } from './part-at';
import { NamedValues } from './NamedValues';
import { SceneSettings } from './SceneSettings';
import { PartButton, Sentence } from './Sentence';

/** Without its last rule that differs a layer has no list of them. */
function takeAway(layer: Layer, index: number): void {
  if (!isPlaced(layer) || !layer.when) return;
  layer.when.splice(index, 1);
  if (layer.when.length === 0) delete layer.when;
}

const KIND_WORDS: Record<Layer['kind'], string> = {
  ground: 'colour',
  picture: 'picture',
  text: 'text',
  panel: 'panel',
};

interface BlockProps {
  layer: Layer;
  names: Names;
  pictures: readonly Picture[];
}

/** The sentences of a layer, the part that says which picture it is, and which of these parts cause something. */
function useSentences({ layer, names, pictures }: BlockProps) {
  const causes = useCauses(layer.id);
  const asked = useAskedPath(layer.id);
  const said = useMemo(() => {
    const own = layerSentence(layer, names, pictures);
    const rules = isPlaced(layer) ? (layer.when ?? []) : [];
    const differs = rules.map((_, i) => whenSentence(layer as PlacedLayer, i, names, pictures));
    const chosen = layer.kind === 'picture' ? picturePart(layer, pictures) : null;
    const written = [...own, ...differs.flat()].filter((t) => typeof t !== 'string');
    const parts = chosen ? [...written, chosen] : written;
    return { own, differs, chosen, parts, faults: faultsOf(parts, causes) };
  }, [layer, names, pictures, causes]);
  // A sentence says in one part what a rule may have in several places, and not all of what it has.
  const askedPart = asked ? (partFor(said.parts, asked) ?? said.parts[0]) : undefined;
  return { ...said, asked: askedPart, fault: faultOf(causes) };
}
type Said = ReturnType<typeof useSentences>;

/** What a layer is called and is, with what can be done with it as a whole. */
function LayerHead({ layer, pictures, said }: Omit<BlockProps, 'names'> & { said: Said }) {
  const store = useWorkbenchStore();
  const { chosen, faults, fault, asked } = said;
  const picture = layer.kind === 'picture' ? pictures.find((p) => p.id === layer.picture) : undefined;
  const turnVisible = () =>
    edit(
      store,
      stepOf(layer.visible ? 'layer.hide' : 'layer.show', layer.name),
      inLayer(store, layer.id, (l) => void (l.visible = !l.visible)),
    );
  return (
    <h3>
      {fault && (
        <span className={`outcome-${fault.outcome}`} title={`Its rule causes: ${fault.words}`}>
          {OUTCOME_SHAPES[fault.outcome]}{' '}
        </span>
      )}
      {layer.name}
      <span className="quiet figures">
        {chosen && picture ? (
          <PartButton
            layer={layer}
            part={chosen}
            fault={faults.get(chosen)}
            isAsked={chosen === asked}
            text={picture.cuts.length > 1 ? `${picture.cuts.length} cuts` : sayFile(masterOf(picture))}
          />
        ) : (
          KIND_WORDS[layer.kind]
        )}
      </span>
      <Button variant="quiet" size="sm" aria-pressed={!layer.visible} onClick={turnVisible}>
        {layer.visible ? 'hide' : 'show'}
      </Button>
      <LayerMenu layer={layer} />
    </h3>
  );
}

/** Only what a layer’s own block is made of is handed in, so that the others stand still while one is changed. */
const LayerBlock = memo(function LayerBlock({ layer, names, pictures }: BlockProps) {
  const store = useWorkbenchStore();
  const held = isPlaced(layer) && layer.parent !== undefined;
  const said = useSentences({ layer, names, pictures });
  const { own, differs, faults, asked } = said;
  const roving = useRoving<HTMLElement>();
  return (
    <section
      {...roving}
      className={`layer${layer.visible ? '' : ' layer-hidden'}${held ? ' layer-held' : ''}`}
      aria-label={`Layer ${layer.name}`}
    >
      <LayerHead {...{ layer, pictures, said }} />
      {layer.kind === 'picture' && layer.role === 'background' && <PictureWell layer={layer} />}
      <Sentence layer={layer} tokens={own} faults={faults} asked={asked} />
      {isPlaced(layer) &&
        layer.when?.map((_, i) => (
          <div className="differs" key={i}>
            <Sentence layer={layer} tokens={differs[i]!} faults={faults} asked={asked} />
            <Button
              variant="quiet"
              size="sm"
              aria-label={`Remove: ${sayWhen(layer.when![i]!)}`}
              onClick={() =>
                edit(
                  store,
                  stepOf('layer.differ-no-more', layer.name, sayWhen(layer.when![i]!)),
                  inLayer(store, layer.id, (l) => takeAway(l, i)),
                )
              }
            >
              remove
            </Button>
          </div>
        ))}
    </section>
  );
});

/** What sentences call things by: the same object for as long as nothing is renamed. */
function useNames(): Names {
  const { layers, direction } = useScene();
  const named = useWorkbench((s) => s.documents.project.named);
  const called = JSON.stringify(layers.map(({ id, name }) => ({ id, name })));
  const fonts = useWorkbench((s) => s.documents.project.fonts);
  const mirrored = direction === 'rtl';
  return useMemo(
    () => ({ layers: JSON.parse(called) as Names['layers'], named, fonts, mirrored }),
    [called, named, fonts, mirrored],
  );
}

/** The rules of the open scene, back to front, and the pictures of the project. */
export function SceneColumn() {
  const scene = useScene();
  const names = useNames();
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  return (
    <aside className="scene-column" aria-label="Scene">
      <CloseDrawer />
      <SentenceHint />
      <h2>
        Layers, back to front
        <span>
          <SceneSettings />
          <AddLayer />
        </span>
      </h2>
      {inDrawingOrder(scene.layers).map((layer) => (
        <LayerBlock key={layer.id} {...{ layer, names, pictures }} />
      ))}
      <NamedValues />
      <PicturesTray />
      <FontsTray />
    </aside>
  );
}
