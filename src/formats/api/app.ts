import { z } from 'zod';
import { Screen } from '@/core/screens/screen';
import { WebManifest } from '../manifest';
import { SHEET_FORMAT_IDS } from '../sheet/all';
import type { Operation } from './operation';

const target = z.string().max(200).default('all').describe('a set of screens, by its id');

const group = 'For the app';

export const readSheet = {
  id: 'readSheet',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/scenes/{scene}/sheet',
  about: 'Everything of a scene that is typed into an app: lengths, colours, files, times, CSS.',
  query: z.object({
    target,
    case: z.string().max(200).optional().describe('a case of one’s choice besides the usual screens'),
    as: z.enum(SHEET_FORMAT_IDS).default('json'),
  }),
  answer: {
    status: 200,
    about: 'The sheet',
    types: ['application/json', 'text/markdown', 'text/html'],
  },
} as const satisfies Operation;

export const listScreens = {
  id: 'listScreens',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/screens',
  about: 'The screens that a project is looked at on.',
  query: z.object({ target }),
  answer: { status: 200, about: 'Their figures', json: z.array(Screen) },
} as const satisfies Operation;

export const readTokens = {
  id: 'readTokens',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/tokens',
  about: 'Named lengths and colours in the format of the Design Tokens Community Group.',
  answer: { status: 200, about: 'The tokens', types: ['application/design-tokens+json'] },
} as const satisfies Operation;

export const readManifest = {
  id: 'readManifest',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/manifest',
  about: 'Icons and colours as a Web App Manifest.',
  answer: { status: 200, about: 'The manifest', json: WebManifest },
} as const satisfies Operation;
