'use client';
import { Button } from 'react-bootstrap';
import type { ImportItem } from './items';

interface Props {
  items: readonly ImportItem[];
  onCancel: (id: string) => void;
  onClear: () => void;
}

const WORDS: Record<ImportItem['state'], string> = {
  waiting: 'waiting',
  sending: 'sending',
  working: 'being read',
  read: 'read',
  done: 'added',
  failed: 'not added',
  cancelled: 'cancelled',
};
const running = (i: ImportItem) => ['waiting', 'sending', 'working'].includes(i.state);

/** The files that are being taken in, with what became of each; stays until it is put away. */
export function ImportList({ items, onCancel, onClear }: Props) {
  if (items.length === 0) return null;
  return (
    <section className="imports" aria-label="Import">
      <h2>
        {items.filter(running).length > 0 ? 'Adding files' : 'Files'}
        {!items.some(running) && (
          <Button variant="quiet" size="sm" onClick={onClear}>
            put away
          </Button>
        )}
      </h2>
      <ul aria-live="polite">
        {items.map((item) => (
          <li key={item.id} className={`import-${item.state}`}>
            <span className="import-name" title={item.name}>
              {item.name}
            </span>
            <span className="quiet">{WORDS[item.state]}</span>
            {running(item) && (
              <Button
                variant="quiet"
                size="sm"
                aria-label={`Cancel ${item.name}`}
                onClick={() => onCancel(item.id)}
              >
                cancel
              </Button>
            )}
            {running(item) && (
              <div className="progress" aria-hidden="true">
                <div className="progress-bar" style={{ width: `${item.share * 100}%` }} />
              </div>
            )}
            {item.note && <p className={item.state === 'failed' ? 'problem' : 'quiet'}>{item.note}</p>}
          </li>
        ))}
      </ul>
    </section>
  );
}
