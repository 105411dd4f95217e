import type { Change, Step } from '../patch/change';
import type { Operation } from '../patch/patch';
import { stepOf } from './commands';

/** As much of documents as names things; they may be of any version. */
interface Named {
  project?: { name?: string; pictures?: readonly { name?: string }[] };
  scenes?: Record<string, { name?: string; layers?: readonly { name?: string }[] } | undefined>;
}

/** What the parts of a project are called, where a step is named by the place that it changed. */
const PARTS: Record<string, string> = {
  name: 'the name of the project',
  pictures: 'pictures',
  fonts: 'fonts',
  named: 'named values',
  tokens: 'design tokens',
  scenes: 'the order of scenes',
  launches: 'the launch',
  limits: 'limits',
  accepted: 'what is accepted',
  acceptedFiles: 'what is accepted of files',
  screens: 'screens',
  screenSets: 'sets of screens',
  setInUse: 'the set in use',
  axes: 'what screens are looked at in besides',
  ratios: 'allowed ratios of windows',
  windowSizes: 'allowed sizes of windows',
  weights: 'shares of users',
  densities: 'the densities asked for',
  iconSets: 'sets of icons',
  evidence: 'screenshots',
  checked: 'what was seen on devices',
  naming: 'names of files',
};

const nameOf = (thing: unknown): string | undefined => {
  const name = (thing as { name?: unknown } | undefined)?.name;
  return typeof name === 'string' ? name : undefined;
};

const VERBS = { add: 'add', remove: 'delete', replace: 'change' } as const;

/** What one operation does to a whole thing: its verb, and the name of what was or is there. */
const done = ({ op, ...rest }: Operation, was: unknown, kind: string, unnamed: string): string =>
  `${VERBS[op]} ${kind}${nameOf(op === 'add' && 'value' in rest ? rest.value : was) ?? unnamed}`;

/** What one operation changes in a scene: the scene as a whole, one of its layers, or something else of it. */
function inScene(operation: Operation, before: Named): string {
  const [, , id = '', part, index, ...inner] = operation.path.split('/');
  const scene = before.scenes?.[id];
  if (part === undefined) return done(operation, scene, 'the scene ', 'without a name');
  const called = nameOf(scene) ?? 'a scene';
  if (part !== 'layers') return `change ${part === 'name' ? 'the name' : 'settings'} of ${called}`;
  const layer = scene?.layers?.[Number(index)];
  if (inner.length === 0 && index !== undefined && operation.op !== 'replace')
    return done(operation, layer, '', 'a layer');
  return `change ${nameOf(layer) ?? `layers of ${called}`}`;
}

/** What one operation changes, as an order. */
function changed(operation: Operation, before: Named): string {
  const [, room, part = ''] = operation.path.split('/');
  if (room === 'scenes') return inScene(operation, before);
  return `change ${PARTS[part] ?? 'the project'}`;
}

/**
 * What a step may be called that nobody has named: steps of earlier versions, and of clients that send none. It is told
 * from the places that its patch changes.
 * @param before the documents that it was made in, of any version
 */
export function stepFromPaths({ patch }: Pick<Change, 'patch'>, before: Named): Step {
  const all = [...new Set(patch.map((operation) => changed(operation, before)))];
  const more = all.length > 2 ? ` and ${all.length - 2} more` : '';
  return { ...stepOf('project.change', all.slice(0, 2).join(', ') + more) };
}
