import type { PlacedLayer } from '@/core/scene/scene';

/** A rule that CSS has no words for without a script. */
export class Unsaid extends Error {
  /** @param rule what it is, such as “a text that keeps a shape” */
  constructor(
    readonly layer: Pick<PlacedLayer, 'id' | 'name'>,
    readonly rule: string,
  ) {
    super(`${layer.name}: ${rule}`);
    this.name = 'Unsaid';
  }
}
