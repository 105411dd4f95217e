'use client';
import Link from 'next/link';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import { sayTime } from '@/core/words/words';
import { SignedSince } from './SignedSince';
import { PictureThumb } from '../drawing/PictureThumb';

/** A project as it is listed. */
export interface Card {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
  scenes: { id: string; name: string }[];
  pictures: Picture[];
  /** the id of its last sign-off; `null` where nobody has signed it off */
  signedOff: string | null;
  /** why its documents cannot be read */
  unreadable?: string;
}

interface CardProps {
  card: Card;
  onDelete: () => void;
  onDuplicate: () => void;
  onRename: (name: string) => Promise<void>;
}

/** One project, with what can be done with it. */
export function ProjectRow({ card, onDelete, onDuplicate, onRename }: CardProps) {
  const [name, setName] = useState<string | null>(null);
  const address = `/projects/${card.id}`;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name?.trim() && name.trim() !== card.name) void onRename(name.trim());
    setName(null);
  };
  return (
    <li className="project" aria-label={card.name}>
      <div className="project-words">
        {name === null ? (
          <h2>
            <Link href={address}>{card.name}</Link>
          </h2>
        ) : (
          <Form onSubmit={submit}>
            <Form.Control
              autoFocus
              aria-label="New name"
              maxLength={120}
              value={name}
              onChange={(e) => setName(e.target.value)}
              onBlur={submit}
              onKeyDown={(e) => e.key === 'Escape' && setName(null)}
            />
          </Form>
        )}
        <p className="quiet figures">
          {card.scenes.length === 0 && 'Nothing in it yet'}
          {card.scenes.map((s, i) => (
            <span key={s.id}>
              {i > 0 && ' · '}
              <Link href={`${address}/${s.id}`}>{s.name}</Link>
            </span>
          ))}
        </p>
        <p className="quiet figures">changed {sayTime(card.updatedAt)}</p>
        {card.signedOff !== null && <SignedSince project={card.id} signOff={card.signedOff} />}
      </div>
      <div className="project-pictures" aria-hidden="true">
        {card.pictures.map((p) => (
          <PictureThumb key={p.id} picture={p} width={56} />
        ))}
      </div>
      <div className="project-actions">
        <Button variant="quiet" size="sm" onClick={() => setName(card.name)}>
          rename
        </Button>
        <Button variant="quiet" size="sm" onClick={onDuplicate}>
          duplicate
        </Button>
        <Button variant="quiet" size="sm" onClick={onDelete}>
          delete
        </Button>
      </div>
    </li>
  );
}
