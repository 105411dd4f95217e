import type { Editable, Part } from '@/core/sentences/parts';
import type { Layer, PlacedLayer } from '@/core/scene/scene';
import type { NamedValue } from '@/core/values/values';

export type Kind = Editable['kind'];
type Of<K extends Kind> = Extract<Editable, { kind: K }>;

/** What every editor of a part is given. */
interface Common {
  layer: Layer;
  part: Part;
  named: readonly NamedValue[];
  /** the other layers of the scene that rules can be measured from */
  others: readonly PlacedLayer[];
  /** @returns whether the change was made */
  onChange: (value: unknown) => boolean;
  /** changes what stands anywhere in the layer */
  change: (recipe: (layer: Layer) => void) => boolean;
  onCommit: () => void;
  /** a change that ends the editing */
  choose: (value: unknown) => void;
  onDone: () => void;
}
export type EditorProps<K extends Kind = Kind> = Common & { editable: Of<K> };
