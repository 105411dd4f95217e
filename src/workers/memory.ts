import { type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { countedFor } from '@/core/icons/slots';
import { countedCases } from '@/core/screens/counted';
import type { Fonts } from '@/render/fonts';
import { type AdviceAsked } from '@/core/findings/advise';
import { type Judged } from '@/core/findings/scene';
import { type LaunchAsked } from '@/core/launch/findings';
import type { LaunchKept } from '@/core/launch/faults';
import { launchIn } from '@/core/launch/survey';
import { windowsAllow } from '@/core/launch/windows';
import { samePixels, type Earlier } from '@/core/survey/earlier';
import { surveyInput, type Outside, type SurveyInput } from '@/core/survey/survey';
import { filesOfScene, fontsOfScene, type Documents } from '@/core/project/documents';
import { createFilePixels } from './file-pixels';
import { newId } from '@/workers/new-id';

/** What the worker remembers from one question to the next. */
interface Memory {
  screens: Screen[];
  /** of these screens */
  all: Case[];
  /** what the last survey of everything was asked, of which cases, and which limits it found broken */
  last: { input: SurveyInput; cases: Case[]; judged: Judged[] } | null;
  /** the last survey of everything that was not in the middle of an edit: the next takes over what has not been reached */
  earlier: Earlier | null;
  /** what was found of a launch, with the pixels that it was looked at with */
  launchKept: { kept: LaunchKept; pixels: Outside['pixels'] } | null;
  fonts: Fonts | null;
}
export const memory: Memory = {
  screens: [],
  all: [],
  last: null,
  earlier: null,
  launchKept: null,
  fonts: null,
};
export const pixelsOf = createFilePixels();

/** What the page hands over; fonts and pixels are loaded here. */
export type Documented = Omit<SurveyInput, keyof Outside>;

/** The fonts, with imported ones: the same object for as long as no new one is asked for. */
export async function fontsWith(hashes: readonly string[]): Promise<Fonts> {
  // What reads and shapes fonts is large, and many scenes have no text.
  const { loadFonts, withImported } = await import('@/render/fonts');
  return (memory.fonts = await withImported(memory.fonts ?? (await loadFonts()), hashes));
}

/**
 * The fonts are only asked for by a scene that has text.
 * @param more imported ones that it does not write with @param onRead hears how many of its files have been read
 */
export async function inputOf(
  asked: Documented,
  more: readonly string[] = [],
  onRead?: (done: number, of: number) => void,
): Promise<SurveyInput> {
  const { scene, pictures } = asked;
  const hasText = scene.layers.some((l) => l.kind === 'text');
  const pixels = await pixelsOf(filesOfScene(scene, pictures), onRead);
  return {
    ...asked,
    fonts: hasText ? await fontsWith([...fontsOfScene(scene), ...more]) : memory.fonts,
    pixels,
  };
}

/** The cases on which a scene is judged. */
export const casesIn = ({ project, scenes }: Documents, sceneId: string) =>
  countedFor(scenes[sceneId], project, memory.all);

const fontsOfProject = ({ project }: Documents) => (project.fonts ?? []).map((f) => f.hash);

/** @param more files whose pixels are needed beside those of the scene, for what it is tried with */
export async function askedOf(
  documents: Documents,
  sceneId: string,
  more: readonly string[] = [],
): Promise<AdviceAsked> {
  // Whatever is loaded is handed over from then on.
  await pixelsOf(more);
  const { fonts: known, pixels } = await inputOf(
    surveyInput(documents, documents.scenes[sceneId]!, { fonts: null }),
    // Mends try other fonts.
    fontsOfProject(documents),
  );
  return {
    documents,
    sceneId,
    cases: casesIn(documents, sceneId),
    outside: { fonts: known, pixels },
    newId,
    earlier: memory.earlier,
    allows: windowsAllow(documents, sceneId, [...new Set(memory.all.map((c) => c.screen))]),
  };
}

export async function launchAsked(documents: Documents, launchId: string): Promise<LaunchAsked | null> {
  const launch = launchIn(documents, launchId);
  const { launchKept } = memory;
  if (!launch) return null;
  const scenes = Object.values(documents.scenes);
  const hashes = scenes.flatMap((s) => filesOfScene(s, documents.project.pictures));
  const pixels = await pixelsOf([...new Set(hashes)]);
  return {
    documents,
    launch,
    cases: countedCases(memory.all, documents.project.ratios),
    outside: { fonts: await fontsWith(fontsOfProject(documents)), pixels },
    earlier: launchKept && samePixels(launchKept.pixels, pixels) ? launchKept.kept : null,
  };
}
