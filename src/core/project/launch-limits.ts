import { z } from 'zod';
import { sayLength, sayMs, sayNumber, sayShare } from '../words/numbers';
import { Given, MOST_GIVEN } from '../measure/accept';
import type { Bounds } from '../measure/judge';
import { MOST_SCREENS } from '../screens/set';
import { Id } from '../values/values';
import { documentObject } from '../values/object';

/** In the order in which they are best mended: what changes a window first, then what depends on it. */
export const LAUNCH_RULES = [
  'outside-stage',
  'icon-masked',
  'flash',
  'jump',
  'bar-change',
  'held-too-long',
  'fade-cut-short',
] as const;
const Rule = z.enum(LAUNCH_RULES);
export type LaunchRule = z.infer<typeof Rule>;

const Bound = z.number().min(0).max(600_000).nullable();
/** Over which value a rule warns, and over which it fails, in its own unit; `null` for none. */
export const LaunchLimit = z.strictObject({ warn: Bound, fail: Bound });
export type LaunchLimit = z.infer<typeof LaunchLimit>;
/** Where a launch differs from the limits that it starts with. */
export const LaunchLimits = z.partialRecord(Rule, LaunchLimit);

/** Something found in a launch that somebody has looked at and takes as it is, on the screens that are named. */
export const LaunchAcceptance = documentObject({
  rule: Rule,
  /** of the stage */
  stage: Id,
  /** of a layer, a picture or a target, where there may be several */
  about: z.string().max(64),
  screens: z.array(Id).min(1).max(MOST_SCREENS),
  /** cases with the value that each had; without it every case of these screens, whatever its value */
  given: z.array(Given).max(MOST_GIVEN).optional(),
  reason: z.string().min(1, 'Say why it is accepted.').max(400),
});
export type LaunchAcceptance = z.infer<typeof LaunchAcceptance>;

/** The limits that a launch starts with, and why. */
export const LAUNCH_LIMITS: Record<LaunchRule, LaunchLimit & { reason: string }> = {
  flash: {
    warn: 30,
    fail: 50,
    reason: 'Mean difference of colour (CIEDE2000) of the two frames: 100 is black to white.',
  },
  jump: { warn: 1, fail: 8, reason: 'A corner that moves by more than 1 lu in one frame is seen to jump.' },
  'bar-change': {
    warn: 0,
    fail: null,
    reason:
      'A bar that appears or disappears between two stages is seen to, and moves what is measured from it.',
  },
  'held-too-long': {
    warn: 100,
    fail: 3000,
    reason:
      'A splash that stays when everything is loaded makes people wait; over three seconds they notice.',
  },
  'fade-cut-short': { warn: 0, fail: 400, reason: 'A fade that is cut off ends in a jump.' },
  'outside-stage': { warn: 0, fail: null, reason: 'A window of the system does not draw everything.' },
  'icon-masked': { warn: 0.002, fail: 0.02, reason: 'What lies outside the circle is cut off.' },
};

/** What has limits of its own. */
interface Limited {
  limits?: z.infer<typeof LaunchLimits>;
}

export function launchLimit({ limits }: Limited, rule: LaunchRule): LaunchLimit {
  const { warn, fail } = limits?.[rule] ?? LAUNCH_LIMITS[rule];
  return { warn, fail };
}

/** The limits with another one; those that a launch starts with are not written down. */
export function withLaunchLimit(
  { limits }: Limited,
  rule: LaunchRule,
  limit: LaunchLimit,
): Limited['limits'] {
  const { [rule]: _, ...others } = limits ?? {};
  const { warn, fail } = LAUNCH_LIMITS[rule];
  if (limit.warn !== warn || limit.fail !== fail) return { ...others, [rule]: limit };
  return Object.keys(others).length > 0 ? others : undefined;
}

/** What a value of a launch is held against. */
export type LaunchBounds = Bounds & { measure: LaunchRule };

/** The limits of a rule, as anything is judged by them. */
export function launchBounds(launch: Limited, rule: LaunchRule): LaunchBounds[] {
  const limit = launchLimit(launch, rule);
  const { reason } = LAUNCH_LIMITS[rule];
  return (['fail', 'warn'] as const).flatMap((outcome) => {
    const max = limit[outcome];
    return max === null ? [] : [{ measure: rule, max, outcome, reason }];
  });
}

interface Words {
  /** what is measured */
  noun: string;
  say: (value: number) => string;
  /** what a value is of, where a warning and a failure go by different ones */
  of?: Record<'warn' | 'fail', string>;
  /** how its limits are typed in */
  typed: { unit: string; factor: number; step: number };
}

const MS: Pick<Words, 'say' | 'typed'> = { say: sayMs, typed: { unit: 'ms', factor: 1, step: 50 } };

/** How the values of each rule are said; `null` for what is there or is not. */
export const LAUNCH_VALUES: Record<LaunchRule, Words | null> = {
  flash: {
    noun: 'a mean difference of colour',
    say: sayNumber,
    typed: { unit: '', factor: 1, step: 1 },
  },
  jump: {
    noun: 'a corner that moves in one frame',
    say: sayLength,
    typed: { unit: 'lu', factor: 1, step: 1 },
  },
  'bar-change': {
    noun: 'what a bar takes or gives',
    say: sayLength,
    typed: { unit: 'lu', factor: 1, step: 1 },
  },
  'held-too-long': {
    noun: 'a splash that stays after everything is loaded',
    of: { warn: 'of waiting', fail: 'on the screen' },
    ...MS,
  },
  'fade-cut-short': { noun: 'the part of a fade that is cut off', ...MS },
  'icon-masked': {
    noun: 'the part of an icon outside its circle',
    say: sayShare,
    typed: { unit: '%', factor: 100, step: 0.1 },
  },
  'outside-stage': null,
};

/** What is wrong, in words that begin a line. */
export const LAUNCH_WORDS: Record<LaunchRule, string> = {
  flash: 'Flash',
  jump: 'Jump',
  'bar-change': 'A bar appears or disappears',
  'held-too-long': 'Held too long',
  'fade-cut-short': 'Fade cut short',
  'outside-stage': 'Not drawn by the system',
  'icon-masked': 'Icon cut by its circle',
};
