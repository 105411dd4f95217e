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
import type { Documents } from '../project/documents';
import { isPlaced } from '../scene/scene';
import { seenBy } from '../sentences/words';
import { whyElsewhere, type Standing } from './elsewhere';
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

/** How a stage draws a layer, by the rule that it really goes by; `null` where it is no picture of that case. */
function standingOf(
  { c, survey, documents }: Between,
  { stage, result }: StageResult,
  layerId: string,
): Standing | null {
  const scene = documents.scenes[stage.scene]!;
  const layers = survey.layersOf(c, stage);
  const layer = layers.find((l) => l.id === layerId);
  const found = result?.layers.find((l) => l.id === layerId);
  if (!layer || !isPlaced(layer) || !found || found.kind !== 'picture') return null;
  const { named } = documents.project;
  const names = { layers, named, mirrored: scene.direction === 'rtl' };
  return {
    name: scene.name,
    placing: layer.placing,
    names: seenBy(layer, names),
    drawn: found.placement.drawn,
    natural: found.placement.natural,
  };
}

/** Why a picture jumps: another file of the same content, the bars, or what the two stages rule otherwise. */
function whyItJumps(
  { layers, wasName, name }: Jump,
  moved: MovedBy,
  standing: (which: 'before' | 'after', id: string) => Standing | null,
): string[] {
  const content = wasName === null ? [] : [`${wasName} and ${name} are two pictures of the same content.`];
  const byBars = moved().find((m) => m.layerId === layers.after);
  const bars = byBars ? [`${sayMoved(byBars)} because the bars of the two stages differ.`] : [];
  const [before, after] = [standing('before', layers.before), standing('after', layers.after)];
  const differs = before && after ? whyElsewhere(before, after) : [];
  return [...content, ...bars, ...differs];
}

/** “jumps 12 lu down and becomes 86 % of its width” */
function sayJump({ shift, scale }: Jump): string {
  const ways = sayShift(shift);
  const goes = ways === '' ? [] : [`jumps ${ways}`];
  const becomes = Math.abs(scale - 1) < 0.001 ? [] : [`becomes ${sayShare(scale)} of its width`];
  return [...goes, ...becomes].join(' and ') || 'changes its shape';
}

const jumpFaults = (
  h: Handover,
  stage: number,
  names: readonly string[],
  moved: MovedBy,
  standing: (which: 'before' | 'after', id: string) => Standing | null,
): LaunchFault[] =>
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
        ...whyItJumps(j, moved, standing),
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

/** What is looked at from one stage to the next. */
interface Between {
  c: Case;
  survey: LaunchSurvey;
  names: readonly string[];
  documents: Documents;
}

/** What goes wrong from one stage to the next. */
export function betweenFaults(
  between: Between,
  [from, to]: readonly [StageResult, StageResult],
  stage: number,
  h: Handover,
  bars: Bars,
): LaunchFault[] {
  const { c, survey, names } = between;
  const [before, after] = [from.result!, to.result!];
  const changes = barChanges(before, after);
  let known: readonly MovedByBars[] | null = null;
  const moved = () =>
    (known ??= changes.length > 0 ? movedByBars(survey.withBars(c, to.stage, bars), after) : []);
  return [
    ...flashFault(h, stage, names),
    ...jumpFaults(h, stage, names, moved, (which, id) =>
      standingOf(between, which === 'before' ? from : to, id),
    ),
    ...barFaults(changes, stage, names, moved),
  ];
}
