'use client';
import { Button } from 'react-bootstrap';
import { isRunning, type ImportItem } from './items';

interface Props {
  items: readonly ImportItem[];
  /** @param id all without one */
  onCancel: (id?: string) => void;
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

/** The files that are being taken in, with what became of each; stays until it is put away. */
export function ImportList({ items, onCancel, onClear }: Props) {
  if (items.length === 0) return null;
  const left = items.filter(isRunning).length;
  return (
    <section className="imports" aria-label="Import">
      <h2>
        {left > 0 ? `Adding files, ${items.length - left} of ${items.length}` : 'Files'}
        {left === 0 && (
          <Button variant="quiet" size="sm" onClick={onClear}>
            close
          </Button>
        )}
        {left > 1 && (
          <Button variant="quiet" size="sm" onClick={() => onCancel()}>
            cancel all
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
            {isRunning(item) && (
              <Button
                variant="quiet"
                size="sm"
                aria-label={`Cancel ${item.name}`}
                onClick={() => onCancel(item.id)}
              >
                cancel
              </Button>
            )}
            {isRunning(item) && (
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
