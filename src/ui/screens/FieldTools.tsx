'use client';
import { FIT_PRESETS, presetOf, withPreset, type FitPreset } from '@/core/fit/presets';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { backgroundOf, editPictureLayer } from '../state/edit';
import { sceneOf } from '../state/workbench';
import { Choices } from '../workbench/Choices';

const FIT_WORDS: Record<FitPreset, { label: string; title: string }> = {
  cover: { label: 'cover', title: 'Fills the box and keeps the shape; what spills is cut' },
  contain: { label: 'contain', title: 'Shows all and keeps the shape; leaves bars' },
  stretch: { label: 'stretch', title: 'Fills both ways; changes the shape' },
  natural: { label: 'natural', title: 'The file’s own size' },
  'scale-down': { label: 'scale down', title: 'Natural size, but never larger than the box' },
  tile: { label: 'tile', title: 'Natural size, repeated both ways' },
  'match-width': { label: 'match width', title: 'As wide as the box; the height follows' },
  'match-height': { label: 'match height', title: 'As high as the box; the width follows' },
};

/** What is tried on all screens at once: the size of fit of the background. */
export function FieldTools() {
  const store = useWorkbenchStore();
  const background = useWorkbench((s) => backgroundOf(sceneOf(s)));
  if (!background) return null;
  return (
    <div className="field-tools">
      <Choices
        label={`${background.name} drawn as`}
        options={FIT_PRESETS.map((value) => ({ value, ...FIT_WORDS[value] }))}
        value={presetOf(background.fit) ?? undefined}
        onChoose={(preset) =>
          editPictureLayer(store, background.id, (layer) => {
            layer.fit = withPreset(layer.fit, preset);
          })
        }
      />
    </div>
  );
}
