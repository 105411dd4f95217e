import { isIn, targetName } from '@/core/project/launch';
import type { Project } from '@/core/project/project';
import { casesOf, type Case } from '@/core/screens/cases';
import { KIND_GROUPS } from '@/core/screens/kinds';
import type { Screen } from '@/core/screens/screen';
import { naturalSize } from '@/core/screens/turn';
import { caseSize } from '@/core/screens/words';
import type { Column } from './schema';

/** A set of screens that something is built for. */
export interface ScreenTarget {
  id: string;
  name: string;
  screens: Screen[];
}

/** All screens, those of a kind, and those of each target of the launches; none of them is empty. */
export function screenTargets(
  { launches = [] }: Pick<Project, 'launches'>,
  screens: readonly Screen[],
): ScreenTarget[] {
  const kinds = KIND_GROUPS.map(({ id, label, kinds: of }) => ({
    id,
    name: label,
    screens: screens.filter((s) => (of as readonly string[]).includes(s.kind)),
  }));
  const targets = launches.flatMap((launch) =>
    launch.targets.map((t) => ({
      id: `${launch.id}/${t.id}`,
      name: targetName(t),
      screens: screens.filter((s) => isIn(t, s)),
    })),
  );
  const all = { id: 'all', name: 'All screens', screens: [...screens] };
  return [all, ...kinds, ...targets].filter((t) => t.screens.length > 0);
}

const upright = (screen: Screen): Case => casesOf([screen], ['light'])[0]!;

const areaOf = (screen: Screen) => {
  const { width, height } = naturalSize(screen);
  return width * height;
};

const mostOf = (screens: readonly Screen[], of: (s: Screen) => number): Screen =>
  screens.reduce((best, s) => (of(s) > of(best) ? s : best));

/** The screens on which lengths are said: the smallest, the most used and the largest of a target, and one of one's choice. */
export function columnsOf(screens: readonly Screen[], chosen: Case | null): (Column & { case: Case })[] {
  const column = (id: Column['id'], label: string, c: Case) => ({
    id,
    label,
    caseId: c.id,
    screen: caseSize(c),
    density: c.screen.density,
    case: c,
  });
  const usual = [
    column('smallest', 'smallest', upright(mostOf(screens, (s) => -areaOf(s)))),
    column('most-used', 'most used', upright(mostOf(screens, (s) => s.weight))),
    column('largest', 'largest', upright(mostOf(screens, areaOf))),
  ];
  const isUsual = usual.some(
    (c) => c.case.screen.id === chosen?.screen.id && c.case.rotation === chosen.rotation,
  );
  return chosen && !isUsual ? [...usual, column('chosen', 'chosen', chosen)] : usual;
}
