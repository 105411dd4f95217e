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

interface NameProps {
  card: Card;
  /** a new name, or none where it stays as it is */
  onName: (name: string | null) => void;
}

/** The field that changes the name of a project. */
function NameForm({ card, onName }: NameProps) {
  const [typed, setTyped] = useState(card.name);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const name = typed.trim();
    onName(name && name !== card.name ? name : null);
  };
  return (
    <Form onSubmit={submit}>
      <Form.Control
        autoFocus
        aria-label="New name"
        maxLength={120}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={submit}
        onKeyDown={(e) => e.key === 'Escape' && onName(null)}
      />
    </Form>
  );
}

/** The scenes of a project, each of which can be opened. */
function SceneLinks({ card }: Pick<CardProps, 'card'>) {
  return (
    <p className="quiet figures">
      {card.scenes.length === 0 && 'Nothing in it yet'}
      {card.scenes.map((s, i) => (
        <span key={s.id}>
          {i > 0 && ' · '}
          <Link href={`/projects/${card.id}/${s.id}`}>{s.name}</Link>
        </span>
      ))}
    </p>
  );
}

/** One project, with what can be done with it. */
export function ProjectRow({ card, onDelete, onDuplicate, onRename }: CardProps) {
  const [isRenamed, setRenamed] = useState(false);
  const onName = (name: string | null) => {
    if (name !== null) void onRename(name);
    setRenamed(false);
  };
  return (
    <li className="project" aria-label={card.name}>
      <div className="project-words">
        {isRenamed ? (
          <NameForm {...{ card, onName }} />
        ) : (
          <h2>
            <Link href={`/projects/${card.id}`}>{card.name}</Link>
          </h2>
        )}
        <SceneLinks card={card} />
        <p className="quiet figures">changed {sayTime(card.updatedAt)}</p>
        {card.signedOff !== null && <SignedSince project={card.id} signOff={card.signedOff} />}
      </div>
      <div className="project-pictures" aria-hidden="true">
        {card.pictures.map((p) => (
          <PictureThumb key={p.id} picture={p} width={56} />
        ))}
      </div>
      <div className="project-actions">
        <Button variant="quiet" size="sm" onClick={() => setRenamed(true)}>
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
