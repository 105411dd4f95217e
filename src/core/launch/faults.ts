import type { Documents } from '../scene/documents';
import { sayLength, sayMs, sayNumber, sayRatio, sayShare } from '../formats/numbers';
import { hexOf } from '../pixels/raster';
import type { FilePixels } from '../pixels/file';
import type { Case } from '../screens/cases';
import type { CaseResult, Outside } from '../survey/survey';
import { handoverOf, outsideCircle, type Handover } from './handover';
import type { Launch } from './launch';
import { launchLimit, type LaunchRule } from './limits';
import { createLaunchSurvey, type LaunchEarlier, type StageResult } from './survey';
import { ICON_WINDOW, MASK_ID } from './system';
import { fadeOf, timelineOf, type Span, type Timeline } from './timeline';

/** What a rule says of one case. */
export interface LaunchFault {
  rule: LaunchRule;
  /** of the stage, or of the earlier one of two */
  stage: number;
  /** of a layer, a picture or a target, where there may be several */
  about: string;
  value: number;
  /** what it is, in words with its figures, and what it comes from, step by step; said of the worst case only */
  say: () => { said: string; because: string[] };
}

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

const jumpFaults = (h: Handover, stage: number, names: readonly string[]): LaunchFault[] =>
  h.jumps.map((j) => ({
    rule: 'jump',
    stage,
    about: j.pictureId,
    value: j.furthest,
    say: () => ({
      said: `${j.name} jumps by ${sayNumber(j.shift.x)} across and ${sayNumber(j.shift.y)} lu down, and becomes ${sayRatio(j.scale)} times as wide`,
      because: [
        `In ${names[stage]} it is ${sayLength(j.from.width)} wide, ${sayNumber(j.from.x)} from the left and ${sayNumber(j.from.y)} from the top.`,
        `In ${names[stage + 1]} it is ${sayLength(j.to.width)} wide, ${sayNumber(j.to.x)} from the left and ${sayNumber(j.to.y)} from the top.`,
        'Two stages place the same picture by different rules.',
      ],
    }),
  }));

/** A fade that a stage has no time for. */
function cutFades({ spans }: Timeline, names: readonly string[]): LaunchFault[] {
  return spans.flatMap(({ index, start, end, fadeMs }): LaunchFault[] => {
    if (fadeMs <= end - start) return [];
    return [
      {
        rule: 'fade-cut-short',
        stage: index,
        about: '',
        value: fadeMs - (end - start),
        say: () => ({
          said: `its fade of ${sayMs(fadeMs)} is cut off after ${sayMs(end - start)}`,
          because: [
            `${names[index]} is on the screen for ${sayMs(end - start)}, and its fade takes ${sayMs(fadeMs)}.`,
          ],
        }),
      },
    ];
  });
}

/**
 * How long people wait although everything is loaded, over all stages until the first screen begins; the system’s own
 * window is nobody’s to shorten. It is said of the stage that takes most of that time.
 */
function waits(launch: Launch, { spans }: Timeline, names: readonly string[]): LaunchFault[] {
  const last = spans.at(-1)!;
  const loaded = Math.max(launch.loadingMs, spans[0]!.index === last.index ? 0 : launch.systemMs);
  const waited = last.start - loaded;
  const held = spans.slice(0, -1).filter((s) => s.end > loaded);
  if (waited <= 0 || held.length === 0) return [];
  const afterLoading = (s: Span) => s.end - Math.max(s.start, loaded);
  const longest = held.reduce((a, b) => (afterLoading(b) > afterLoading(a) ? b : a));
  const shown = longest.end - longest.start;
  const { fail } = launchLimit(launch, 'held-too-long');
  return [
    {
      rule: 'held-too-long',
      stage: longest.index,
      about: '',
      // What is on the screen for longer than that fails, whatever the loading takes.
      value: fail !== null && shown > fail ? Math.max(waited, shown) : waited,
      say: () => ({
        said: `people wait ${sayMs(waited)} longer than the loading takes; ${names[longest.index]} is on the screen for ${sayMs(shown)}`,
        because: [
          `Everything is loaded ${sayMs(launch.loadingMs)} after the tap, and ${names[last.index]} begins after ${sayMs(last.start)}.`,
          ...held.map(
            (s) =>
              `${names[s.index]} is there from ${sayMs(s.start)} to ${sayMs(s.end)}: ${sayMs(afterLoading(s))} of that after the loading.`,
          ),
        ],
      }),
    },
  ];
}

function timeFaults(launch: Launch, stages: readonly StageResult[], names: readonly string[]): LaunchFault[] {
  const timeline = timelineOf(
    launch,
    stages.map((s) => s.stage),
  );
  return [...cutFades(timeline, names), ...waits(launch, timeline, names)];
}

function outsideFaults(
  { outside, stage }: StageResult,
  index: number,
  nameOf: (layer: string) => string,
): LaunchFault[] {
  return outside.map(({ layerId, why }) => ({
    rule: 'outside-stage',
    stage: index,
    about: layerId,
    value: 1,
    say: () => ({
      said: `${nameOf(layerId)} is not drawn as its rule says: ${why}`,
      because: [`This stage is drawn by the system (${stage.system}).`, `${nameOf(layerId)}: ${why}.`],
    }),
  }));
}

/** Everything around the icon's middle is alike on every screen, so that each file is looked at once. */
function createMasked(pixels: ReadonlyMap<string, FilePixels>) {
  const known = new Map<string, number>();
  return ({ stage, result }: StageResult, index: number, name: string): LaunchFault[] => {
    const layer = result?.layers.find((l) => l.kind === 'picture' && l.parent === MASK_ID);
    const file = layer?.kind === 'picture' ? pixels.get(layer.rendition.hash) : undefined;
    if (layer?.kind !== 'picture' || !file || !result) return [];
    const { screen } = result.regions;
    const { drawn } = layer.placement;
    const key = `${layer.rendition.hash} ${stage.padding}`;
    const circle = { x: screen.width / 2, y: screen.height / 2, radius: ICON_WINDOW.circle / 2 };
    const value = known.get(key) ?? outsideCircle(drawn, file, circle);
    known.set(key, value);
    return [
      {
        rule: 'icon-masked',
        stage: index,
        about: layer.pictureId,
        value,
        say: () => ({
          said: `${sayShare(value)} of ${name} is cut off by the circle of the system`,
          because: [
            `The system draws the icon ${sayLength(ICON_WINDOW.box)} wide and shows a circle of ${sayLength(ICON_WINDOW.circle)}.`,
            stage.padding > 0
              ? `The file is set into it with ${sayShare(stage.padding)} of room along each side.`
              : 'The file reaches to the edge of its box, without room for the circle.',
          ],
        }),
      },
    ];
  };
}

/** A launch with everything that a survey takes. */
export interface Launched {
  documents: Documents;
  launch: Launch;
  outside: Outside;
}

/** What is known of a launch that the next look at it, after an edit, need not work out again. */
export interface LaunchKept {
  stages: LaunchEarlier;
  /** from one result to another, with a fade; an edit that reaches a stage makes a new result of it */
  handovers: WeakMap<CaseResult, WeakMap<CaseResult, { fadeMs: number; handover: Handover }>>;
}

/** @param pixels those with which all that is known was made */
function createHandovers(pixels: Outside['pixels'], known: LaunchKept['handovers']) {
  return (before: CaseResult, after: CaseResult, fadeMs: number): Handover => {
    const from = known.get(before) ?? new WeakMap();
    known.set(before, from);
    const was = from.get(after);
    if (was?.fadeMs === fadeMs) return was.handover;
    const handover = handoverOf(before, after, pixels ?? null, fadeMs);
    from.set(after, { fadeMs, handover });
    return handover;
  };
}

export interface Faults {
  /** what is wrong on one case, all values included that keep their limits */
  on: (c: Case) => LaunchFault[];
  kept: () => LaunchKept;
}

/** @param earlier of the same launch with the same pixels, before an edit */
export function createFaults({ documents, launch, outside }: Launched, earlier: LaunchKept | null): Faults {
  const survey = createLaunchSurvey(documents, launch, outside, earlier?.stages);
  const handovers: LaunchKept['handovers'] = earlier?.handovers ?? new WeakMap();
  const handOver = createHandovers(outside.pixels, handovers);
  const masked = outside.pixels ? createMasked(outside.pixels) : () => [];
  const on = (c: Case): LaunchFault[] => {
    const stages = survey.on(c);
    const names = stages.map(({ stage }) => documents.scenes[stage.scene]!.name);
    const faults = timeFaults(launch, stages, names);
    stages.forEach((s, i) => {
      const scene = documents.scenes[s.stage.scene]!;
      const nameOf = (id: string) => scene.layers.find((l) => l.id === id)?.name ?? id;
      faults.push(...outsideFaults(s, i, nameOf));
      const icon = s.result?.layers.find((l) => l.kind === 'picture' && l.parent === MASK_ID);
      if (icon) faults.push(...masked(s, i, icon.name));
      const next = stages[i + 1]?.result;
      if (!s.result || !next) return;
      const h = handOver(s.result, next, fadeOf(stages[i + 1]!.stage));
      faults.push(...flashFault(h, i, names), ...jumpFaults(h, i, names));
    });
    return faults;
  };
  return { on, kept: () => ({ stages: survey.kept(), handovers }) };
}
