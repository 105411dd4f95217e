import fc from 'fast-check';
import { demo } from '../../../demo/testing';
import { anyLaunch } from '@/core/testing/launches';
import { SCREENS, UPRIGHT } from '@/core/testing/scenes';
import { stageSentence, stageText } from '@/core/launch/stage-sentence';
import { STARTS, timelineOf } from '@/core/launch/timeline';
import { stagesOn, type Launch } from '@/core/project/launch';
import { sayMs } from '@/core/words/numbers';
import { launchSection } from './launch';

const scene = demo.project.scenes[0]!;
const inDemo = (launch: Launch): Launch => ({
  ...launch,
  stages: launch.stages.map((s) => ({ ...s, scene })),
});

test('what is handed over of a launch is what its sentences say and what is played', () => {
  fc.assert(
    fc.property(anyLaunch.map(inDemo), (launch) => {
      const { facts } = launchSection(launch, demo, SCREENS.slice(0, 2));
      const text = (id: string) => facts.find((f) => f.id === id)?.text;
      launch.stages.forEach((_, i) => {
        expect(text(`stage-${i + 1}`)).toContain(stageText(stageSentence(launch, i)));
        for (const start of STARTS) {
          const { spans } = timelineOf(launch, stagesOn(launch, UPRIGHT.screen, null), start);
          const { start: from, end } = spans[i]!;
          const until = Number.isFinite(end) ? ` to ${sayMs(end)}` : ' on';
          expect(text(`stage-${i + 1}-${start}`)).toBe(`${sayMs(from)}${until}, from the tap`);
        }
        // A hold that means nothing is not handed over.
        const said = stageText(stageSentence(launch, i));
        const held = text(`stage-${i + 1}-hold`);
        if (held !== undefined) expect(said).toContain(held);
        expect(text(`stage-${i + 1}-until`) !== undefined).toBe(said.includes('until all is loaded'));
      });
    }),
    { numRuns: 60 },
  );
});
