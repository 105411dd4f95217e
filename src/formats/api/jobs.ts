import { Job, JobAsked } from '../job';
import type { Operation } from './operation';

const group = 'Jobs';

export const startJob = {
  id: 'startJob',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/jobs',
  about:
    'Takes on what takes longer than a request may: a review, a report, a contact sheet, a page, files, an archive, a film.',
  body: JobAsked,
  answer: {
    status: 202,
    about: 'How it stands',
    json: Job,
    headers: { location: 'where it is told how it stands' },
  },
} as const satisfies Operation;

export const readJob = {
  id: 'readJob',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/jobs/{job}',
  about: 'How a job stands; with Accept: text/event-stream again whenever that changes, until it is over.',
  answer: { status: 200, about: 'How it stands', json: Job },
} as const satisfies Operation;

export const callOffJob = {
  id: 'callOffJob',
  group,
  method: 'DELETE',
  path: '/api/v1/projects/{project}/jobs/{job}',
  about: 'Calls a job off.',
  answer: { status: 200, about: 'How it stands', json: Job },
} as const satisfies Operation;

export const jobResult = {
  id: 'jobResult',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/jobs/{job}/result',
  about: 'The file that a job has made; it is kept for a day.',
  answer: { status: 200, about: 'The file', types: ['*/*'] },
} as const satisfies Operation;
