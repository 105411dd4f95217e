import type { Target } from '../project/launch';
import type { LaunchRule } from '../project/launch-limits';

/** What a rule says of one case. */
export interface LaunchFault {
  rule: LaunchRule;
  /** of the stage, or of the earlier one of two */
  stage: number;
  /** of a layer, a picture or a bar, where there may be several */
  about: string;
  value: number;
  /** whose first window it is of, where a screen may have several by the version of its system */
  target?: Target | null;
  /** what it is, in words with its figures, and what it comes from, step by step; said of the worst case only */
  say: () => { said: string; because: string[] };
}

/** What a finding is told by: the rule, the stage and what it is about. */
export const faultKey = ({ rule, stage, about }: Pick<LaunchFault, 'rule' | 'stage' | 'about'>) =>
  `${rule} ${stage} ${about}`.trim();
