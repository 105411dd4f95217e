'use client';
import { produce } from 'immer';
import { useCallback, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { sayShare } from '@/core/words/numbers';
import type { Cut } from '@/core/pictures/picture';
import type { Statistics } from '@/core/pixels/statistics';
import { diff } from '@/core/patch/patch';
import type { OutcomesWith } from '@/workers/answering';
import { OutcomeChange } from '../parts/OutcomeChange';
import { useAsked, type Asking } from '../state/ask';
import { useScene } from '../state/context';
import { inCut } from '../state/edit';
import { useStatistics } from '../state/statistics';

interface Props {
  pictureId: string;
  cut: Cut;
  hash: string;
  change: (recipe: (cut: Cut) => void) => void;
  onCommit: () => void;
}

const whole = (share: number) => sayShare(Math.round(share * 100) / 100);
const SUBJECT = 'Where the detail is';

type Recipe = (cut: Cut) => void;

/** What the open scene would come to with each of several changes of a cut; `null` until that is known. */
function useEffects(
  pictureId: string,
  cut: Cut['cut'],
  recipes: readonly Recipe[] | null,
): OutcomesWith | null {
  const asking = useCallback<Asking<OutcomesWith>>(
    (worker, documents, sceneId) =>
      worker.outcomesWith(
        documents,
        sceneId,
        recipes!.map((recipe) => diff(documents, produce(documents, inCut(pictureId, cut, recipe)))),
      ),
    [pictureId, cut, recipes],
  );
  return useAsked(recipes ? asking : null);
}

type Suggestion = NonNullable<Statistics['suggestion']>;

/** The two changes that are offered: marking the area, and holding the picture by its middle. */
const useRecipes = (suggestion: Suggestion | null | undefined): readonly Recipe[] | null =>
  useMemo(
    () =>
      suggestion
        ? [
            (c) => {
              if (!c.keepAreas.some((k) => k.subject === SUBJECT))
                c.keepAreas.push({ subject: SUBJECT, rect: suggestion.keepArea, weight: 1 });
            },
            (c) => {
              c.focalPoint = suggestion.focalPoint;
            },
          ]
        : null,
    [suggestion],
  );

/** Focal point and keep area as the detail of the picture suggests them: an offer, which says what it would do. */
export function Suggested({ pictureId, cut, hash, change, onCommit }: Props) {
  const suggestion = useStatistics([hash]).get(hash)?.suggestion;
  const scene = useScene();
  const isShown = scene.layers.some((l) => l.kind === 'picture' && l.picture === pictureId);
  const recipes = useRecipes(suggestion);
  const effects = useEffects(pictureId, cut.cut, isShown ? recipes : null);
  if (!suggestion || !recipes) return null;
  const { keepArea, focalPoint } = suggestion;
  const [mark, hold] = recipes as [Recipe, Recipe];
  const take = (recipe: Recipe) => () => {
    change(recipe);
    onCommit();
  };
  const effect = (i: number) =>
    isShown ? (
      <OutcomeChange was={effects?.was} is={effects?.with[i]} scene={scene.name} />
    ) : (
      <span className="quiet">{scene.name} does not show this picture.</span>
    );
  return (
    <div className="bound offers" role="group" aria-label="From the pixels">
      <span className="choices-label">
        Where the picture has most detail, which may be its subject or not
      </span>
      <p>
        {whole(keepArea.width)} × {whole(keepArea.height)}, from {whole(keepArea.x)} across and{' '}
        {whole(keepArea.y)} down.{' '}
        <Button
          variant="quiet"
          size="sm"
          disabled={cut.keepAreas.some((k) => k.subject === SUBJECT)}
          onClick={take(mark)}
        >
          make it a keep area
        </Button>{' '}
        {effect(0)}
      </p>
      <p>
        Its middle is {whole(focalPoint.x)} across, {whole(focalPoint.y)} down; the focal point is{' '}
        {whole(cut.focalPoint.x)}, {whole(cut.focalPoint.y)}.{' '}
        <Button variant="quiet" size="sm" onClick={take(hold)}>
          make it the focal point
        </Button>{' '}
        {effect(1)}
      </p>
    </div>
  );
}
