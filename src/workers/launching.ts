import { findInLaunch, type LaunchFinding } from '@/core/launch/findings';
import { type Documents } from '@/core/project/documents';
import { launchAsked, memory } from './memory';

/** What the worker is asked about a launch. */
export const launching = {
  /** What is wrong with a launch, over all cases. */
  async launchFindings(documents: Documents, launchId: string): Promise<LaunchFinding[]> {
    const asked = await launchAsked(documents, launchId);
    if (!asked) return [];
    const { findings, kept } = findInLaunch(asked);
    memory.launchKept = { kept, pixels: asked.outside.pixels };
    return findings;
  },
};
