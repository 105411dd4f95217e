import type { Advice } from '@/core/findings/advise';

/** What a mend makes worse elsewhere. */
export function Costs({ costs }: Pick<Advice, 'costs'>) {
  if (costs.length === 0) return <span className="quiet">nothing gets worse</span>;
  return (
    <span className="quiet">
      but {costs.map(({ finding: f, more }) => `${f.subject.name} ${f.word} on ${more} more`).join(', ')}
    </span>
  );
}
