import { mendOf } from '../findings/mend';
import { withStage, worstOf, type LaunchMender } from './mend-kit';
import { timelineOf } from './timeline';

/** Holds a stage no longer than the loading takes. */
export const heldShorter: LaunchMender = (sick) => {
  const { launch, finding } = sick;
  const { stages, sceneOf } = worstOf(sick);
  const { start, fadeMs } = timelineOf(launch, stages).spans[finding.stage]!;
  const holdMs = Math.max(0, Math.round(launch.loadingMs - start - fadeMs));
  const { name } = sceneOf(finding.stage);
  const held = mendOf(
    sick,
    `Hold ${name} until everything is loaded, and no longer`,
    withStage(sick, (s) => ({ ...s, holdMs })),
  );
  if (fadeMs === 0 || start + fadeMs <= launch.loadingMs) return held;
  const without = Math.max(0, Math.round(launch.loadingMs - start));
  return [
    ...held,
    ...mendOf(
      sick,
      `Show ${name} at once, and no longer than the loading takes`,
      withStage(sick, (s) => ({ ...s, enter: 'none', holdMs: without })),
    ),
  ];
};

/** Gives a fade no more time than there is. */
export const cut: LaunchMender = (sick) => {
  const { launch, finding } = sick;
  const { stages, sceneOf } = worstOf(sick);
  const { start, end } = timelineOf(launch, stages).spans[finding.stage]!;
  return [
    ...mendOf(
      sick,
      `Let ${sceneOf(finding.stage).name} come in within the time that it has`,
      withStage(sick, (s) => ({ ...s, durationMs: Math.max(0, end - start) })),
    ),
    ...mendOf(
      sick,
      `Let ${sceneOf(finding.stage).name} be there at once`,
      withStage(sick, (s) => ({ ...s, enter: 'none' })),
    ),
  ];
};
