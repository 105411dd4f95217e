import { sayLength, sayNumber, sayShare } from '../words/numbers';
import { hexOf } from '../pixels/raster';
import type { Bars } from '../screens/bar-rules';
import type { Case } from '../screens/cases';
import {
  barChanges,
  movedByBars,
  sayBarChange,
  sayMoved,
  sayShift,
  type BarChange,
  type MovedByBars,
} from './bars';
import type { LaunchFault } from './fault';
import type { Handover, Jump } from './handover';
import type { LaunchSurvey, StageResult } from './survey';

function flashFault(h: Handover, stage: number, names: readonly string[]): LaunchFault[] {
  const { flash } = h;
  if (flash === null || !h.colours) return [];
  const { before, after, groundShare } = h.colours;
  const ground =
    groundShare > 0 ? [`${sayShare(groundShare)} of ${names[stage]} is nothing but its ground.`] : [];
  return [
    {
      rule: 'flash',
      stage,
      about: '',
      value: flash,
      say: () => ({
        said: `a flash: ${hexOf(before)}, then ${hexOf(after)}, a mean difference of colour of ${sayNumber(flash)}`,
        because: [
          `${names[stage]} ends in ${hexOf(before)} on average, ${names[stage + 1]} is ${hexOf(after)}.`,
          ...ground,
        ],
      }),
    },
  ];
}

/** What the bars of the earlier stage would change about the later one; asked for only where something is said. */
type MovedBy = () => readonly MovedByBars[];

function whyItJumps({ layers, wasName, name }: Jump, moved: MovedBy): string[] {
  const content = wasName === null ? [] : [`${wasName} and ${name} are two pictures of the same content.`];
  const byBars = moved().find((m) => m.layerId === layers.after);
  if (!byBars) return [...content, 'Two stages place the same picture by different rules.'];
  return [...content, `${sayMoved(byBars)} because the bars of the two stages differ.`];
}

/** “jumps 12 lu down and becomes 86 % of its width” */
function sayJump({ shift, scale }: Jump): string {
  const ways = sayShift(shift);
  const goes = ways === '' ? [] : [`jumps ${ways}`];
  const becomes = Math.abs(scale - 1) < 0.001 ? [] : [`becomes ${sayShare(scale)} of its width`];
  return [...goes, ...becomes].join(' and ') || 'changes its shape';
}

const jumpFaults = (h: Handover, stage: number, names: readonly string[], moved: MovedBy): LaunchFault[] =>
  h.jumps.map((j) => ({
    rule: 'jump',
    stage,
    about: j.pictureId,
    value: j.furthest,
    say: () => ({
      said: `${j.name} ${sayJump(j)}`,
      because: [
        `In ${names[stage]} it is ${sayLength(j.from.width)} wide, ${sayNumber(j.from.x)} from the left and ${sayNumber(j.from.y)} from the top.`,
        `In ${names[stage + 1]} it is ${sayLength(j.to.width)} wide, ${sayNumber(j.to.x)} from the left and ${sayNumber(j.to.y)} from the top.`,
        ...whyItJumps(j, moved),
      ],
    }),
  }));

/** Bars that come, go or change from one stage to the next, with what moves by it. */
const barFaults = (
  changes: readonly BarChange[],
  stage: number,
  names: readonly string[],
  moved: MovedBy,
): LaunchFault[] =>
  changes.map((change) => ({
    rule: 'bar-change',
    stage,
    about: change.kind,
    value: Math.max(change.before, change.after),
    say: () => {
      const list = moved().toSorted((a, b) => b.furthest - a.furthest);
      const most = list[0] ? `: ${sayMoved(list[0])} by it` : ', and nothing is moved by it';
      return {
        said: `${sayBarChange(change)}${most}`,
        because: [
          `The bars of ${names[stage]} and ${names[stage + 1]} differ.`,
          ...(list.length > 0
            ? [
                `With those of ${names[stage]}, ${names[stage + 1]} is drawn otherwise: ${list.map(sayMoved).join('; ')}.`,
              ]
            : []),
        ],
      };
    },
  }));

/** What goes wrong from one stage to the next. */
export function betweenFaults(
  { c, survey, names }: { c: Case; survey: LaunchSurvey; names: readonly string[] },
  [from, to]: readonly [StageResult, StageResult],
  stage: number,
  h: Handover,
  bars: Bars,
): LaunchFault[] {
  const [before, after] = [from.result!, to.result!];
  const changes = barChanges(before, after);
  let known: readonly MovedByBars[] | null = null;
  const moved = () =>
    (known ??= changes.length > 0 ? movedByBars(survey.withBars(c, to.stage, bars), after) : []);
  return [
    ...flashFault(h, stage, names),
    ...jumpFaults(h, stage, names, moved),
    ...barFaults(changes, stage, names, moved),
  ];
}
