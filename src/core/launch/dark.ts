import type { Picture } from '../pictures/picture';
import { paintColours } from '../values/paint';
import type { Scene } from '../scene/scene';
import { plainOf, type NamedValue } from '../values/values';

/** Names of the layers that have nothing for dark, so that they look there as they do in light. */
export function lightOnly(
  scene: Scene,
  pictures: readonly Picture[],
  named: readonly NamedValue[],
): string[] {
  const hasDark = (colour: ReturnType<typeof paintColours>[number]) => {
    const plain = 'named' in colour ? plainOf(colour.named, named) : colour;
    return plain !== null && 'light' in plain && plain.dark !== undefined;
  };
  return scene.layers
    .filter((l) => {
      if (!l.visible) return false;
      if (l.kind === 'ground') return !paintColours(l.colour).every(hasDark);
      if (l.kind !== 'picture') return false;
      const files = pictures.find((p) => p.id === l.picture)?.cuts.flatMap((c) => c.renditions) ?? [];
      return !files.some((r) => r.appearance === 'dark');
    })
    .map((l) => l.name);
}
