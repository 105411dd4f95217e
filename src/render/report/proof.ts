import sharp from 'sharp';
import { CHECKLIST, checkedOf, deviceTargets } from '@/core/launch/checklist';
import { sceneWith, type Documents } from '@/core/project/documents';
import type { DeviceCheck, Evidence } from '@/core/project/proof';
import { findCase } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { caseName } from '@/core/screens/words';
import type { Bytes } from '../sharp';
import type { ReportedProof, Shot } from './report';
import { MOST, WEBP } from './shots';

/** Where a screenshot differs from its case, as a small picture. @throws what reading its file throws */
async function differing(
  shot: Evidence,
  screens: readonly Screen[],
  documents: Documents,
  bytes: Bytes,
): Promise<Shot> {
  const { data, info } = await sharp(await bytes(shot.picture))
    .resize({ ...MOST, fit: 'inside', withoutEnlargement: true })
    .webp(WEBP)
    .toBuffer({ resolveWithObject: true });
  const c = findCase(shot.case, screens);
  const scene = sceneWith(documents, shot.scene)?.name ?? 'a scene that is gone';
  return {
    caseId: shot.case,
    caption: [`${scene} on ${c ? caseName(c) : shot.case}`, shot.opinion],
    picture: data,
    size: { width: info.width, height: info.height },
  };
}

const said = (found: DeviceCheck | undefined) =>
  found && { done: found.done, note: found.note, at: found.at, by: found.by };

/** What was looked at on real devices: the list for each target, and the screenshots. */
export async function reportProof(
  documents: Documents,
  screens: readonly Screen[],
  bytes: Bytes,
): Promise<ReportedProof> {
  const { launches, checked, evidence = [] } = documents.project;
  const targets = deviceTargets(launches).map(({ id, name }) => ({
    name,
    checks: CHECKLIST.map((check) => ({
      what: check.what,
      found: said(checkedOf(checked, id, check.id)) ?? null,
    })),
  }));
  const screenshots: Shot[] = [];
  for (const shot of evidence) screenshots.push(await differing(shot, screens, documents, bytes));
  return { targets, screenshots };
}
