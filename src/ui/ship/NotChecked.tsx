'use client';
import type { Review } from '@/core/review/schema';

/** What nobody may take for clear. */
export function NotChecked({ review }: { review: Review | null }) {
  return (
    <section aria-labelledby="not-checked">
      <header className="ship-head">
        <h2 id="not-checked">Not checked</h2>
        <span className="quiet">what nobody may take for clear</span>
      </header>
      {review?.notChecked.length === 0 && (
        <p className="quiet">Everything that can be checked was checked.</p>
      )}
      <ul className="ship-list">
        {review?.notChecked.map(({ what, why }) => (
          <li key={what}>
            {what}: <span className="quiet">{why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
