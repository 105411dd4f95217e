import { easingOf, fullAt } from '../project/easing';
import type { Launch, Stage } from '../project/launch';
import { sayMs } from '../words/numbers';
import { stayOf, type Stay, type Times } from './stay';
import { SYSTEM_WORDS } from './system';
import { fadeOf } from './timeline';

/** A part of a stage’s sentence that is changed in place. */
export interface StagePart {
  kind: 'system' | 'enter' | 'fade' | 'easing' | 'answers' | 'hold' | 'until';
  text: string;
}
export type StageToken = string | StagePart;

export const ENTER_WORDS = { none: 'at once', fade: 'by a fade' } as const;
export const UNTIL_WORDS = { loaded: 'or until all is loaded', held: 'and no longer' } as const;

/** A fade that is whole only just before its end is not worth a word. */
const MOSTLY_THERE = 0.98;

const part = (kind: StagePart['kind'], text: string): StagePart => ({ kind, text });

/** How a stage comes in: only the app can fade. */
function entrance(stage: Stage): StageToken[] {
  if (stage.system !== 'app') return [];
  const comes = [', comes in ', part('enter', ENTER_WORDS[stage.enter])];
  const fadeMs = fadeOf(stage);
  if (stage.enter === 'none') return comes;
  const full = fullAt(easingOf(stage.easing)!);
  const there = full < MOSTLY_THERE ? ` (wholly there after ${sayMs(fadeMs * full)})` : '';
  return [...comes, ' of ', part('fade', sayMs(fadeMs)), ' ', part('easing', stage.easing), there];
}

/** Whether it can be chosen whether a stage waits for the loading: otherwise it is plain which one does. */
const hasChoice = ({ stages }: Launch, index: number) => stages.length > 3 || stages[index]!.waits === true;

/** What ends a stage, as a clause after a comma. */
function ending(launch: Launch, index: number, stay: Stay): StageToken[] {
  const { answersMs, holdMs, loadedMs, isLast } = stay;
  if (isLast) return [', and stays'];
  const waits = loadedMs !== null;
  const until: StageToken[] =
    hasChoice(launch, index) && (waits || index > 0)
      ? [' ', part('until', UNTIL_WORDS[waits ? 'loaded' : 'held'])]
      : waits
        ? [` ${UNTIL_WORDS.loaded}`]
        : [];
  const latest = waits ? [', whichever is later'] : [];
  if (answersMs === null) return [', stays ', part('hold', sayMs(holdMs ?? 0)), ...until, ...latest];
  const held: StageToken[] =
    (holdMs ?? 0) > 0 ? [', until it has been there for ', part('hold', sayMs(holdMs!)), ','] : [];
  return [', until the app answers after ', part('answers', sayMs(answersMs)), ...held, ...until, ...latest];
}

/**
 * What a stage shows and for how long, as one sentence. The timeline is made of the same `stayOf`, so that what is said is
 * what is played.
 * @param times those of a cold start, which are those of the launch itself, when absent
 */
export function stageSentence(launch: Launch, index: number, times: Times = launch): StageToken[] {
  return [
    'Drawn by ',
    part('system', SYSTEM_WORDS[launch.stages[index]!.system].label),
    ...entrance(launch.stages[index]!),
    ...ending(launch, index, stayOf(launch.stages, index, times)),
    '.',
  ].filter((token) => token !== '');
}

export const stageText = (tokens: readonly StageToken[]): string =>
  tokens.map((t) => (typeof t === 'string' ? t : t.text)).join('');
