'use client';
import { addressOf } from '@/formats/api/operation';
import { rawProject } from '@/formats/api/projects';
import { Button } from 'react-bootstrap';

interface Props {
  card: { id: string; name: string; unreadable?: string };
  onDelete: () => void;
}

/** A project whose documents cannot be read: what is wrong, its documents as a file, and a way to put it away. */
export function UnreadableRow({ card, onDelete }: Props) {
  return (
    <li className="project" aria-label={card.name}>
      <div className="project-words">
        <h2>{card.name}</h2>
        <p className="problem">{card.unreadable}</p>
        <p className="quiet">
          Nothing else is touched by it.{' '}
          <a href={addressOf(rawProject, { project: card.id })}>Save its documents as a file</a>
        </p>
      </div>
      <div className="project-actions">
        <Button variant="quiet" size="sm" onClick={onDelete}>
          delete
        </Button>
      </div>
    </li>
  );
}
