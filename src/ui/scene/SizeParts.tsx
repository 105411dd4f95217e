import { withoutIdleShape, type Extent, type Placing, type Ratio } from '@/core/placing/rule';
import { setAt, valueAt } from '@/core/sentences/parts';
import { isPlaced } from '@/core/scene/scene';
import { ExtentEditor } from './editors/ExtentEditor';
import { RatioEditor } from './editors/RatioEditor';
import type { EditorProps } from './part-props';

/** An extent that follows from the shape needs one: the picture’s own, or a square to begin with. */
export function ExtentPart({
  layer,
  part,
  editable,
  named,
  others,
  change,
  onCommit,
}: EditorProps<'extent'>) {
  const placingPath = part.paths[0]!.slice(0, -2);
  const hasOwn = layer.kind === 'picture';
  return (
    <ExtentEditor
      {...editable}
      named={named}
      otherLayers={others}
      inPanel={isPlaced(layer) && layer.parent !== undefined}
      canHug={layer.kind === 'panel'}
      canBeNatural={layer.kind !== 'panel'}
      onCommit={onCommit}
      onChange={(value) =>
        change((l) => {
          setAt(l, part.paths, value);
          const placing = valueAt(l, placingPath) as Placing;
          if (value.kind === 'from-ratio') placing.ratio ??= { value: hasOwn ? 'own' : 1, strict: true };
          else setAt(l, [placingPath], withoutIdleShape(placing));
        })
      }
    />
  );
}

/** Where width and height are both natural, another shape than the picture’s own makes the height follow from it. */
export function RatioPart({ layer, part, editable, change, onCommit }: EditorProps<'ratio'>) {
  const onChange = (ratio: Ratio) =>
    change((l) => {
      setAt(l, part.paths, ratio);
      const { y, ...rest } = valueAt(l, part.paths[0]!.slice(0, -1)) as Placing;
      if (y.kind !== 'edges' && withoutIdleShape({ y, ...rest }).ratio === undefined)
        y.extent = { ...y.extent, kind: 'from-ratio' } as Extent;
    });
  return (
    <RatioEditor
      value={editable.value}
      hasOwn={layer.kind === 'picture'}
      onChange={onChange}
      onCommit={onCommit}
    />
  );
}
