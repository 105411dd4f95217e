import { ownerName } from '@/core/measure/words';
import type { Advice } from '@/core/findings/advise';
import { ruleOfFinding } from '@/core/findings/rule';
import { useScene } from '../state/context';

/** What a mend makes worse elsewhere. */
export function Costs({ costs }: Pick<Advice, 'costs'>) {
  const { layers } = useScene();
  if (costs.length === 0) return <span className="quiet">nothing gets worse</span>;
  return (
    <span className="quiet">
      but{' '}
      {costs
        .map(
          ({ finding: f, more }) =>
            `${ownerName(f.layerId, layers)} ${ruleOfFinding(f).word} on ${more} more`,
        )
        .join(', ')}
    </span>
  );
}
