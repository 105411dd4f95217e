'use client';
import * as api from '@/formats/api/projects';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import { PictureThumb } from '../drawing/PictureThumb';
import { leave, ask, RequestProblem } from '../api';
import type { Theme } from '../theme/theme';
import { Sign } from '../workbench/Sign';
import { ThemeSwitch } from '../workbench/ThemeSwitch';
import { OpenArchive } from './OpenArchive';
import { UnreadableRow } from './UnreadableRow';
import { DeletedProjects, type DeletedCard } from './DeletedProjects';

interface Card {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
  scenes: { id: string; name: string }[];
  pictures: Picture[];
  /** why its documents cannot be read */
  unreadable?: string;
}

interface CardProps {
  card: Card;
  onDelete: () => void;
  onDuplicate: () => void;
  onRename: (name: string) => Promise<void>;
}

function ProjectRow({ card, onDelete, onDuplicate, onRename }: CardProps) {
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
        <p className="quiet figures">changed {card.updatedAt.slice(0, 16).replace('T', ' ')} UTC</p>
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

interface StartProps {
  projects: Card[];
  deleted: readonly DeletedCard[];
  theme: Theme;
  /** whether one is in by a passphrase, and can leave */
  guarded: boolean;
}

/** What can be done with projects; what goes wrong is said, and a deletion can be taken back. */
function useProjects() {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [last, setLast] = useState<{ id: string; name: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);

  /** Does something and says what went wrong. */
  const attempt = async (work: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await work();
    } catch (error) {
      if (!(error instanceof RequestProblem)) throw error;
      setProblem(error.message);
    }
  };
  /** Does something that changes what this page lists. */
  const act = (work: () => Promise<unknown>) =>
    attempt(async () => {
      await work();
      router.refresh();
    });
  const forget = (work: () => Promise<unknown>) =>
    act(async () => {
      await work();
      setLast(null);
    });
  return {
    problem,
    last,
    said,
    say: (message: string) => {
      setSaid(null);
      setProblem(message);
    },
    taken: (name: string) => {
      setProblem(null);
      setSaid(`${name} was taken in.`);
      router.refresh();
    },
    leave: () => act(leave),
    restore: (id: string) => forget(() => ask(api.restoreProject, { project: id })),
    removeForGood: (id: string) =>
      forget(() => ask(api.deleteProject, { project: id }, { query: { for: 'good' } })),
    remove: (card: Card) =>
      act(async () => {
        await ask(api.deleteProject, { project: card.id });
        setLast(card);
      }),
    duplicate: (card: Card) => act(() => ask(api.copyProject, { project: card.id })),
    create: (name: string) =>
      attempt(async () => {
        const { id } = await ask(api.createProject, {}, { body: { name } });
        router.push(`/projects/${id}`);
      }),
    rename: (card: Card, next: string) =>
      act(() => {
        const replace = (value: string) => [{ op: 'replace' as const, path: '/project/name', value }];
        const change = { id: crypto.randomUUID(), patch: replace(next), inverse: replace(card.name) };
        const headers = { 'if-match': `"${card.revision}"` };
        return ask(api.changeProject, { project: card.id }, { body: change, headers });
      }),
  };
}
type Acts = ReturnType<typeof useProjects>;

function Top({ theme, onLeave }: { theme: Theme; onLeave?: () => void }) {
  return (
    <header className="top">
      <span className="home">
        <Sign />
        Coulee
      </span>
      <div className="top-end">
        {onLeave && (
          <Button variant="bar" size="sm" onClick={onLeave}>
            leave
          </Button>
        )}
        <ThemeSwitch start={theme} />
      </div>
    </header>
  );
}

/** What went wrong, and what was deleted last, with the way back. */
function Said({ problem, last, said, restore }: Pick<Acts, 'problem' | 'last' | 'said' | 'restore'>) {
  return (
    <>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <p role="status" className={said ? 'message message-inline' : 'visually-hidden'}>
        {said}
      </p>
      <p role="status" className={last ? 'message message-inline' : 'visually-hidden'}>
        {last && `${last.name} was deleted. `}
        {last && (
          <Button variant="quiet" size="sm" onClick={() => void restore(last.id)}>
            undo
          </Button>
        )}
      </p>
    </>
  );
}

function NewProject({ create }: Pick<Acts, 'create'>) {
  const [name, setName] = useState('');
  return (
    <Form
      className="new-project"
      onSubmit={(event) => {
        event.preventDefault();
        void create(name);
      }}
    >
      <Form.Control
        aria-label="Name of a new project"
        placeholder="name of a new project"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Button type="submit" variant="primary" disabled={name.trim() === ''}>
        New project
      </Button>
    </Form>
  );
}

/** All projects, and what can be done with each. */
export function StartPage({ projects, deleted, theme, guarded }: StartProps) {
  const acts = useProjects();
  return (
    <>
      <Top theme={theme} onLeave={guarded ? () => void acts.leave() : undefined} />
      <main className="start" id="main">
        <h1>Projects</h1>
        <p className="quiet lead-in">
          A project holds the pictures and scenes of one app. Open one to see how they sit on every screen.
        </p>
        <Said {...acts} />
        <ul className="projects">
          {projects.map((card) =>
            card.unreadable ? (
              <UnreadableRow key={card.id} card={card} onDelete={() => void acts.remove(card)} />
            ) : (
              <ProjectRow
                key={card.id}
                card={card}
                onRename={(next) => acts.rename(card, next)}
                onDuplicate={() => void acts.duplicate(card)}
                onDelete={() => void acts.remove(card)}
              />
            ),
          )}
        </ul>
        <NewProject create={acts.create} />
        <OpenArchive onTaken={acts.taken} onProblem={acts.say} />
        <DeletedProjects
          deleted={deleted}
          onRestore={(id) => void acts.restore(id)}
          onRemove={(id) => void acts.removeForGood(id)}
        />
      </main>
    </>
  );
}
