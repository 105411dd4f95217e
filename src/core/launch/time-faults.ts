import { sayMs } from '../words/numbers';
import type { LaunchFault } from './fault';
import type { Launch } from '../project/launch';
import { launchLimit } from '../project/launch-limits';
import type { StageResult } from './survey';
import { timelineOf, type StageSpan, type Timeline } from './timeline';

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
  const afterLoading = (s: StageSpan) => s.end - Math.max(s.start, loaded);
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

/** What goes wrong with the times of a launch: fades that are cut off, and people who wait. */
export function timeFaults(
  launch: Launch,
  stages: readonly StageResult[],
  names: readonly string[],
): LaunchFault[] {
  const timeline = timelineOf(
    launch,
    stages.map((s) => s.stage),
  );
  return [...cutFades(timeline, names), ...waits(launch, timeline, names)];
}
