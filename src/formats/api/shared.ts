import { z } from 'zod';
import { OwnScreen } from '@/core/screens/own';
import { Screen } from '@/core/screens/screen';
import type { Operation } from './operation';

const group = 'Shared among projects';

export const listSharedScreens = {
  id: 'listSharedScreens',
  group,
  method: 'GET',
  path: '/api/v1/screens',
  about: 'The screens that somebody has described for all projects, in the order in which they were shared.',
  answer: { status: 200, about: 'Their figures', json: z.array(Screen) },
} as const satisfies Operation;

export const shareScreen = {
  id: 'shareScreen',
  group,
  method: 'POST',
  path: '/api/v1/screens',
  about: 'Shares a screen among all projects; one of the same id is replaced.',
  body: OwnScreen,
  answer: { status: 201, about: 'Its id', json: z.object({ id: z.string() }) },
  refusals: { 409: 'So many are shared that no more can be.' },
} as const satisfies Operation;

export const unshareScreen = {
  id: 'unshareScreen',
  group,
  method: 'DELETE',
  path: '/api/v1/screens/{screen}',
  about: 'Ends the sharing of a screen. Projects that have taken it keep it.',
  answer: { status: 204, about: 'It is not shared any more' },
} as const satisfies Operation;
