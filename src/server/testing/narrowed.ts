import { narrowed } from '../../../demo/narrowed';
import { changeBetween } from '@/core/patch/change';
import { loadProject } from '../services/projects';
import { saveChange } from '../services/save';

/** Leaves as little of the demo in the store as is judged in a moment. */
export function narrowedDemo(): void {
  const { revision, documents } = loadProject('larkmoor-ferries');
  saveChange(
    'larkmoor-ferries',
    revision,
    changeBetween(crypto.randomUUID(), documents, narrowed(documents))!,
  );
}

/** A case of it, upright and light. */
export const FEW_CASE = 'phone-360x780-2x.0.light';
