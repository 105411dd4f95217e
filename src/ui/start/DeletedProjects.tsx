import { useState } from 'react';
import { Button } from 'react-bootstrap';

/** A project that can still be brought back. */
export interface DeletedCard {
  id: string;
  name: string;
  daysLeft: number;
}

interface Props {
  deleted: readonly DeletedCard[];
  onRestore: (id: string) => void;
  onRemove: (id: string) => void;
}

const sayDays = (days: number) => (days === 1 ? 'one more day' : `${days} more days`);

/** What was deleted and is kept for some time: each brought back, or removed for good once that was asked. */
export function DeletedProjects({ deleted, onRestore, onRemove }: Props) {
  const [asked, setAsked] = useState<string | null>(null);
  if (deleted.length === 0) return null;
  return (
    <section className="deleted-projects" aria-labelledby="deleted-title">
      <h2 id="deleted-title">Deleted projects</h2>
      <ul>
        {deleted.map(({ id, name, daysLeft }) => (
          <li key={id} aria-label={`${name}, deleted`}>
            <span>{name}</span>
            <span className="quiet figures">kept for {sayDays(daysLeft)}</span>
            {asked === id ? (
              <>
                <span>Nothing of it can be brought back then.</span>
                <Button variant="quiet" size="sm" autoFocus onClick={() => setAsked(null)}>
                  keep it
                </Button>
                <Button variant="quiet" size="sm" onClick={() => onRemove(id)}>
                  yes, remove it
                </Button>
              </>
            ) : (
              <>
                <Button
                  variant="quiet"
                  size="sm"
                  aria-label={`Bring back ${name}`}
                  onClick={() => onRestore(id)}
                >
                  bring back
                </Button>
                <Button
                  variant="quiet"
                  size="sm"
                  aria-label={`Remove ${name} for good`}
                  onClick={() => setAsked(id)}
                >
                  remove for good
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
