import { narrowed } from '../../../demo/narrowed';
import { changeBetween } from '@/core/patch/change';
import { seedDemo } from '../seed';
import { loadProject } from '../services/projects';
import { saveChange } from '../services/save';

/** Seeds the demo, as little of it as is judged in a moment. */
export async function narrowedDemo(): Promise<void> {
  await seedDemo();
  const { revision, documents } = loadProject('larkmoor-ferries');
  saveChange(
    'larkmoor-ferries',
    revision,
    changeBetween(crypto.randomUUID(), documents, narrowed(documents))!,
  );
}

/** A case of it, upright and light. */
export const FEW_CASE = 'phone-360x780-2x.0.light';
