import { findInLaunch, type LaunchFinding } from '@/core/launch/findings';
import { launchAdvice, type LaunchAdvice } from '@/core/launch/advice';
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
  /** What would mend a finding of a launch, tried on all cases. */
  async launchAdvice(
    documents: Documents,
    launchId: string,
    finding: LaunchFinding,
  ): Promise<LaunchAdvice[]> {
    const asked = await launchAsked(documents, launchId);
    return asked ? launchAdvice(asked, finding, () => crypto.randomUUID()) : [];
  },
};
