import { edgesOf, fitOf, inputOf, pictureLayer, pictureOf, UPRIGHT } from '@/core/testing/scenes';
import { surveyCase } from '@/core/survey/survey';
import { createFilm } from './film';
import { drawingOf } from './painter';

const layer = pictureLayer({ x: edgesOf('screen'), y: edgesOf('screen') }, { fit: fitOf('cover') });
const input = inputOf([layer], [pictureOf('logo', { widthPx: 600, heightPx: 300, density: 3 })]);
const result = surveyCase(input, UPRIGHT);
const options = { scale: 1, glass: true, fonts: null };
const film = createFilm([null, result, result], options);

describe('a film', () => {
  it('draws a stage by itself as the painter draws its case', () => {
    const { commands, size } = film([{ index: 1, opacity: 1 }])!;
    const alone = drawingOf(result, options);
    expect(size).toEqual(alone.size);
    const [group, ...glass] = commands;
    expect(group).toMatchObject({ kind: 'group', opacity: 1, clip: null });
    expect([...(group?.kind === 'group' ? group.commands : []), ...glass]).toEqual(alone.commands);
  });

  it('lays a stage that comes in over the one before it, and the glass over both, once', () => {
    const { commands } = film([
      { index: 1, opacity: 1 },
      { index: 2, opacity: 0.25 },
    ])!;
    expect(commands.map((c) => (c.kind === 'group' ? c.opacity : c.kind))).toEqual([1, 0.25, 'glass']);
  });

  it('draws nothing but the glass while nothing is shown, and not even that without a stage', () => {
    expect(film([{ index: 0, opacity: 1 }])!.commands.map((c) => c.kind)).toEqual(['glass']);
    expect(createFilm([null], options)([])).toBeNull();
  });
});
