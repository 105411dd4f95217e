import { z } from 'zod';
import { Change } from '@/core/patch/change';
import { Documents } from '@/core/project/documents';
import type { Operation } from './operation';

const Revision = z.int().nonnegative();
const Made = z.object({ id: z.string(), revision: Revision });

const LONGEST_NAME = 120;
const NewProject = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'A project needs a name.')
    .max(LONGEST_NAME, `A name has at most ${LONGEST_NAME} characters.`),
});

const ETAG = { etag: 'the revision, in quotes' };
const group = 'Projects';

export const listProjects = {
  id: 'listProjects',
  group,
  method: 'GET',
  path: '/api/v1/projects',
  about: 'All projects, in the order in which they were made.',
  answer: {
    status: 200,
    about: 'Their names and revisions',
    json: z.array(z.object({ id: z.string(), name: z.string(), revision: Revision, updatedAt: z.string() })),
  },
} as const satisfies Operation;

export const createProject = {
  id: 'createProject',
  group,
  method: 'POST',
  path: '/api/v1/projects',
  about: 'Makes a new, empty project.',
  body: NewProject,
  answer: { status: 201, about: 'Its id', json: Made },
} as const satisfies Operation;

export const readProject = {
  id: 'readProject',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}',
  about: 'The documents of a project as they are now.',
  answer: {
    status: 200,
    about: 'All documents and their revision',
    json: z.object({ revision: Revision, documents: Documents }),
    headers: ETAG,
  },
} as const satisfies Operation;

export const changeProject = {
  id: 'changeProject',
  group,
  method: 'PATCH',
  path: '/api/v1/projects/{project}',
  about:
    'Saves one change (RFC 6902, with its inverse) on top of the revision that was seen. The same change again gets the same answer.',
  headers: { 'if-match': 'the revision that was seen, in quotes, such as "3"' },
  body: Change,
  answer: {
    status: 200,
    about: 'The revision that the change led to',
    json: z.object({ revision: Revision }),
    headers: ETAG,
  },
  refusals: {
    412: 'Others came first: with what differs since, as patch, or with the documents.',
    428: 'If-Match is missing.',
  },
} as const satisfies Operation;

export const deleteProject = {
  id: 'deleteProject',
  group,
  method: 'DELETE',
  path: '/api/v1/projects/{project}',
  about: 'Deletes a project, which can be brought back for 30 days.',
  query: z.object({ for: z.literal('good').optional().describe('removes one that is deleted, for good') }),
  answer: { status: 204, about: 'It is deleted' },
} as const satisfies Operation;

export const restoreProject = {
  id: 'restoreProject',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/restore',
  about: 'Brings a deleted project back.',
  answer: { status: 204, about: 'It is back' },
} as const satisfies Operation;

export const copyProject = {
  id: 'copyProject',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/copies',
  about: 'Makes a copy of a project under a new id.',
  answer: { status: 201, about: 'The id of the copy', json: Made },
} as const satisfies Operation;

export const rawProject = {
  id: 'rawProject',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/raw',
  about: 'The documents as they are stored, also those that cannot be read.',
  answer: { status: 200, about: 'As a file', types: ['application/json'] },
} as const satisfies Operation;

export const listRevisions = {
  id: 'listRevisions',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/revisions',
  about: 'The latest revisions, newest first.',
  answer: {
    status: 200,
    about: 'Revisions with the time of the change that led to each',
    json: z.array(
      z.object({
        revision: Revision,
        at: z.string().describe('ISO 8601'),
        step: z.string().describe('what the change is called that led to it'),
      }),
    ),
  },
} as const satisfies Operation;

export const readRevision = {
  id: 'readRevision',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/revisions/{revision}',
  about: 'The documents as they were at a revision.',
  answer: { status: 200, about: 'All documents', json: Documents },
} as const satisfies Operation;

export const takeInArchive = {
  id: 'takeInArchive',
  group,
  method: 'POST',
  path: '/api/v1/archives',
  about: 'Takes a project in from a ZIP. Beside the same project it becomes a copy with ids of its own.',
  file: 'the ZIP',
  query: z.object({ name: z.string().optional().describe('what the file is called') }),
  answer: {
    status: 201,
    about: 'What it is called here',
    json: Made.extend({ name: z.string() }),
  },
} as const satisfies Operation;
