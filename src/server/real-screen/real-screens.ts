import { readFileSync } from 'node:fs';
import path from 'node:path';
import { filesOf } from '@/core/project/documents';
import type { RealScreens, Shown } from '@/formats/real-screen/shown';
import { notFound, Problem } from '../problem';
import { preview } from '../services/pictures';
import { loadProject, requireProject } from '../services/projects';
import { productFolder } from '../settings';
import { listen, type Listener } from './listener';
import { networks } from './networks';
import { Visits } from './visits';
import { shared } from '../process-wide';

/** What is open for real screens: for one project at a time. */
interface Open {
  project: string;
  visits: Visits;
  listener: Listener;
  network: string;
  timer?: NodeJS.Timeout;
}
const here = shared('real-screens', (): { open: Open | null } => ({ open: null }));

/** What runs on a real screen, as it was built. */
const script = () => readFileSync(path.join(productFolder(), '.next', 'real-screen.js'), 'utf8');

function close(): void {
  const { open } = here();
  here().open = null;
  if (!open) return;
  clearTimeout(open.timer);
  open.visits.close();
  open.listener.close();
}

const openFor = (project: string): Open | null => {
  const { open } = here();
  return open?.project === project ? open : null;
};

/** Whether real screens are let in for a project, and which are there. @throws Problem 404 */
export function realScreens(project: string): RealScreens {
  requireProject(project);
  const open = openFor(project);
  if (!open) return { on: false, networks: networks() };
  const { visits, listener } = open;
  const { unused } = visits;
  return {
    on: true,
    networks: networks(),
    address: unused && `http://${listener.own}/${unused}`,
    until: new Date(visits.ends).toISOString(),
    visitors: visits.said(),
  };
}

async function opened(project: string, network: string): Promise<Open> {
  const visits = new Visits();
  const port = Number(process.env.SCREEN_PORT ?? 0);
  const listener = await listen(visits, { script, preview }, { host: network, port }).catch(
    (error: unknown) => {
      throw new Problem(
        409,
        `No port could be opened on ${network}${port ? `, port ${port}` : ''}: ${String((error as Error).message)}. Choose another network, or another port by SCREEN_PORT.`,
      );
    },
  );
  return { project, visits, listener, network };
}

/** The network that is asked for, or the likeliest. @throws Problem 409, 422 */
function networkOf(asked: string | undefined): string {
  const all = networks();
  if (asked !== undefined && !all.includes(asked))
    throw new Problem(422, `This machine has no address ${asked}. It has ${all.join(', ') || 'none'}.`);
  const network = asked ?? all[0];
  if (network === undefined)
    throw new Problem(
      409,
      'This machine is in no network. Connect it to the one that the real screen is in.',
    );
  return network;
}

/**
 * Lets one real screen in, by a new address; what is open for another project, or in another network, is closed.
 * @throws Problem 404, 409, 422
 */
export async function letRealScreenIn(project: string, asked?: string): Promise<RealScreens> {
  requireProject(project);
  const network = networkOf(asked);
  const was = openFor(project);
  if (was?.network !== network) {
    close();
    const next = await opened(project, network);
    // Somebody else may have opened one meanwhile.
    close();
    here().open = next;
  }
  const open = here().open!;
  if (open.visits.isFull)
    throw new Problem(
      409,
      'As many real screens are there as can be at a time. Send one of them away first.',
    );
  open.visits.newAddress();
  clearTimeout(open.timer);
  open.timer = setTimeout(close, open.visits.ends - Date.now()).unref();
  return realScreens(project);
}

/** Closes the port and sends every real screen away. */
export function switchOff(project: string): void {
  if (openFor(project)) close();
}

const visitOf = (project: string, id: string) => {
  const visit = openFor(project)?.visits.visit(id);
  if (!visit) throw new Problem(404, 'This real screen is not there any more. Let it in by a new address.');
  return visit;
};

/** Passes on what a real screen is to show. @throws Problem 404 for one that is gone, and for files of no picture of the project */
export function showThere(project: string, id: string, shown: Shown): void {
  const visit = visitOf(project, id);
  // While a rule is moved the files stay the same, and the project need not be read again for each step.
  const isNew = shown.files.some((f) => !visit.maySee(f.hash));
  if (isNew) {
    const own = new Set(filesOf(loadProject(project).documents.project.pictures));
    if (shown.files.some((f) => !own.has(f.hash))) throw notFound('A file of what is shown');
  }
  visit.show(shown);
}

/** Ends what one real screen shows. @throws Problem 404 */
export function sendAway(project: string, id: string): void {
  visitOf(project, id);
  openFor(project)?.visits.sendAway(id);
}
