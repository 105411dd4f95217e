import { fontsOfScene, sceneWith } from '@/core/project/documents';
import { contactPdf, contactPng } from '@/render/contact';
import type { ContactAsked } from '@/render/contact-cells';
import { readOriginal, readOriginalNow } from '../blobs';
import { fileHost } from './file-host';
import type { TaskProgress } from '../progress';
import { STORED } from './read';
import { saying } from './steps';

export interface ToContact extends ContactAsked {
  as: 'png' | 'pdf';
}

/** A contact sheet of kept files. @param onStep hears how far it is */
export async function contact(
  { as, ...asked }: ToContact,
  onStep: (progress?: TaskProgress) => void,
): Promise<Buffer> {
  const host = fileHost(asked.documents, { bytes: STORED, font: readOriginalNow });
  const scene = sceneWith(asked.documents, asked.sceneId)!;
  const said = saying(onStep);
  const surfaces = {
    host,
    fonts: await host.fonts(fontsOfScene(scene)),
    bytes: readOriginal,
    onStep: (done: number, of: number) =>
      said({ done, of, doing: done < of ? 'drawing its cases' : 'putting them together' }),
  };
  return as === 'png' ? contactPng(asked, surfaces) : contactPdf(asked, surfaces, scene.name);
}
