'use client';
import * as api from '@/formats/api/projects';
import { newId } from '@/workers/new-id';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { leave, ask, RequestProblem } from '../api';
import { PageTitle } from '../parts/PageTitle';
import type { Theme } from '../theme/theme';
import { Sign } from '../parts/Sign';
import { ThemeSwitch } from '../parts/ThemeSwitch';
import { DemoPicture, type Shown } from './DemoPicture';
import { OpenArchive } from './OpenArchive';
import { OwnPictures } from './OwnPictures';
import { ProjectRow, type Card } from './ProjectRow';
import { useTaking } from './useTaking';
import { UnreadableRow } from './UnreadableRow';
import { DeletedProjects, type DeletedCard } from './DeletedProjects';

interface StartProps {
  /** the scene that shows what Coulee is for; `null` where the demo was deleted */
  shown: Shown | null;
  projects: Card[];
  deleted: readonly DeletedCard[];
  theme: Theme;
  /** whether one is in by a passphrase, and can leave */
  guarded: boolean;
}

/** Gives a project another name. */
function rename(card: Card, next: string) {
  const replace = (value: string) => [{ op: 'replace' as const, path: '/project/name', value }];
  const change = { id: newId(), patch: replace(next), inverse: replace(card.name) };
  const headers = { 'if-match': `"${card.revision}"` };
  return ask(api.changeProject, { project: card.id }, { body: change, headers });
}

/** Does things and says what went wrong; the list is made anew after what changes it. */
function useAttempts() {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const attempt = async (work: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await work();
    } catch (error) {
      if (!(error instanceof RequestProblem)) throw error;
      setProblem(error.message);
    }
  };
  const act = (work: () => Promise<unknown>) =>
    attempt(async () => {
      await work();
      router.refresh();
    });
  return { problem, setProblem, attempt, act, router };
}

/** What can be done with projects; what goes wrong is said, and a deletion can be taken back. */
function useProjects() {
  const { problem, setProblem, attempt, act, router } = useAttempts();
  const [last, setLast] = useState<{ id: string; name: string } | null>(null);
  const [said, setSaid] = useState<string | null>(null);
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
      setSaid(`${name} was imported.`);
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
    rename: (card: Card, next: string) => act(() => rename(card, next)),
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
export function StartPage({ projects, deleted, shown, theme, guarded }: StartProps) {
  const acts = useProjects();
  const taking = useTaking({ onTaken: acts.taken, onProblem: acts.say });
  return (
    <>
      <PageTitle />
      <Top theme={theme} onLeave={guarded ? () => void acts.leave() : undefined} />
      <main className="start" id="main">
        <h1>On which screens does your splash look wrong, and what makes it right?</h1>
        <p className="lead-in">
          Coulee draws a splash logo or a background on every screen at once, and says where it is cut, bare,
          squashed or soft, and by which rule. Change the rule, and all screens follow; or let it find the
          smallest change that mends them.
        </p>
        <Said {...acts} />
        <div className="welcome">
          {shown && <DemoPicture shown={shown} />}
          <OwnPictures onProject={taking.takeDropped} onProblem={acts.say} />
        </div>
        <h2>Projects</h2>
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
        <OpenArchive taking={taking} />
        <DeletedProjects
          deleted={deleted}
          onRestore={(id) => void acts.restore(id)}
          onRemove={(id) => void acts.removeForGood(id)}
        />
      </main>
    </>
  );
}
