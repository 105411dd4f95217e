import type { DeviceCheck } from '@/core/project/proof';
import type { Since } from '@/core/since/schema';
import type { ReviewFinding, Review } from '@/core/review/schema';
import type { Size } from '@/core/geometry/rect';
import type { Outcome } from '@/core/measure/judge';
import type { OutcomeCounts } from '@/core/solve/summary';

/** One case as it is drawn. */
export interface Shot {
  caseId: string;
  /** what is written below it, line by line */
  caption: string[];
  /** of a case of a scene */
  outcome?: Outcome;
  /** WebP */
  picture: Buffer;
  /** of the picture, px */
  size: Size;
}

/** A finding with what makes it plain. */
export interface ReportedFinding {
  finding: ReviewFinding;
  /** why it is there in one sentence; none of a launch */
  short: string | null;
  /** what causes it, step by step, each as deep as it lies under others */
  why: { text: string; depth: number }[];
  /** its worst case as it is, and with the mend; of a launch, before and after the hand-over */
  shots: Shot[];
  /** what would help most, tried on all cases */
  mend: { label: string; clears: number; was: OutcomeCounts; is: OutcomeCounts } | null;
}

/** What is said of one scene or launch: the findings of one cause together. */
export interface ReportedPart {
  id: string;
  /** the few cases that show the extremes */
  telling: Shot[];
  causes: {
    /** the layer, the bar or the stage */
    name: string;
    /** its rule as a sentence; absent of what has none */
    sentence?: string;
    findings: ReportedFinding[];
  }[];
}

/** What was looked at on real devices. */
export interface ReportedProof {
  targets: {
    name: string;
    /** the whole list; `null` where nobody has looked */
    checks: { what: string; found: Pick<DeviceCheck, 'done' | 'note' | 'at' | 'by'> | null }[];
  }[];
  /** where each differs from its case, with what it says */
  screenshots: Shot[];
}

/** A review with pictures, causes and mends. */
export interface Report {
  review: Review;
  scenes: ReportedPart[];
  launches: ReportedPart[];
  proof: ReportedProof;
  /** what has changed since it was signed off last; `null` where nobody has */
  since: Since | null;
}
