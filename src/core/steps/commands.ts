import type { Step } from '../patch/change';
import { countOf } from '../words/words';

const MOST = 300;
const named = (words: string) => (name: string) => `${words} ${name}`;

/**
 * All that can be done to the documents of a project, by the id that is saved with each step: what a step is called in
 * words, from what it is done to. They are said after “undo:” and in the history, so they are written as orders.
 */
export const COMMANDS = {
  'layer.add': named('add'),
  'layer.remove': named('delete'),
  'layer.duplicate': named('duplicate'),
  'layer.forward': (name: string) => `move ${name} forward`,
  'layer.back': (name: string) => `move ${name} back`,
  'layer.move': named('move'),
  'layer.resize': named('resize'),
  'layer.show': named('show'),
  'layer.hide': named('hide'),
  'layer.hold': (name: string, holder: string | null) =>
    holder ? `put ${name} into ${holder}` : `take ${name} out of its panel`,
  'layer.change': (name: string, what: string | null) => `change ${what ? `${what} of ` : ''}${name}`,
  'layer.fit': (name: string, fit: string) => `fit ${name}: ${fit}`,
  'layer.differ': (name: string) => `let ${name} differ when turned`,
  'layer.differ-no-more': (name: string, when: string) => `remove the rule of ${name} ${when}`,
  'layer.ink-centred': (name: string) => `centre ${name} by its ink`,
  'layer.scrim': (name: string) => `lay a scrim under ${name}`,
  'scene.add': named('add the scene'),
  'scene.duplicate': named('duplicate the scene'),
  'scene.remove': named('delete the scene'),
  'scene.rename': (name: string) => `rename the scene ${name}`,
  'scene.change': (name: string) => `change bars and margins of ${name}`,
  'scene.unmirror': (name: string) => `end the right-to-left preview of ${name}`,
  'picture.take-in': (count: number) => `take in ${countOf(count, 'picture')}`,
  'picture.replace': (name: string) => `take another file for ${name}`,
  'picture.rename': (name: string) => `rename the picture ${name}`,
  'picture.remove': named('delete the picture'),
  'picture.trim': (name: string) => `trim ${name} to its ink`,
  'picture.areas': (name: string) => `change keep areas of ${name}`,
  'picture.focal-point': (name: string) => `move the focal point of ${name}`,
  'picture.make': (count: number) => `make ${countOf(count, 'file')}`,
  'picture.master': (name: string, density: string) =>
    `make other files of ${name} from the ${density}x file`,
  'font.take-in': named('take in the font'),
  'font.remove': named('remove the font'),
  'value.add': (kind: string) => `add a named ${kind}`,
  'value.change': named('change the named value'),
  'value.remove': named('delete the named value'),
  'value.take-in': (file: string) => `take in design tokens of ${file}`,
  'screen.save': named('save the screen'),
  'screen.remove': named('remove the screen'),
  'screen.take-in': (source: string) => `take in screens of ${source}`,
  'screen.forget-shares': () => 'forget imported shares of users',
  'screen.axes': () => 'change what screens are looked at in besides',
  'set.add': named('add the set'),
  'set.change': named('change the set'),
  'set.remove': named('delete the set'),
  'set.use': (name: string | null) => (name ? `use the set ${name}` : 'use all screens'),
  'window.ratios': () => 'change allowed ratios of windows',
  'window.sizes': () => 'change allowed sizes of windows',
  'limit.change': (measure: string) => `change a limit on ${measure}`,
  'limit.add': (measure: string) => `add a limit on ${measure}`,
  'limit.remove': (measure: string) => `remove a limit on ${measure}`,
  'limit.restore': () => 'restore the usual limits',
  'finding.accept': (what: string) => `accept ${what}`,
  'finding.accept-no-more': (what: string) => `no longer accept ${what}`,
  'finding.fix': (fix: string) => `apply “${fix}”`,
  'launch.describe': () => 'describe the launch',
  'launch.change': (what: string) => `change ${what}`,
  'launch.add-target': () => 'add a first window',
  'icons.sets': () => 'choose sets of icons',
  'files.densities': () => 'change the densities asked for',
  'proof.check': (what: string) => `note what was seen on a device: ${what}`,
  'proof.screenshot': (name: string) => `take in the screenshot ${name}`,
  'proof.screenshot-again': (name: string) => `hold the screenshot ${name} again`,
  'proof.remove-screenshot': () => 'remove a screenshot',
  'project.change': (what: string) => what,
  'project.go-back': (to: string) => `go back to “${to}”`,
  'project.merge': (first: string) => `${first} and more, with changes from elsewhere`,
  'project.choose': () => 'choose between two versions',
  'project.upgrade': () => 'bring the project to the present version',
} satisfies Record<string, (...args: never[]) => string>;
export type CommandId = keyof typeof COMMANDS;

/** What a step is called that a command makes; a name that is too long to be read is cut. */
export function stepOf<Id extends CommandId>(command: Id, ...args: Parameters<(typeof COMMANDS)[Id]>): Step {
  const name = (COMMANDS[command] as (...given: unknown[]) => string)(...args);
  return { command, name: name.length > MOST ? `${name.slice(0, MOST - 1)}…` : name };
}
