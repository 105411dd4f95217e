import { z } from 'zod';
import { RealScreens, Shown } from '../real-screen/shown';
import type { Operation } from './operation';

const group = 'Real screens';

export const readRealScreens = {
  id: 'readRealScreens',
  group,
  method: 'GET',
  path: '/api/v1/projects/{project}/real-screens',
  about:
    'Whether real screens are let in for this project, by which address, and what was read off those that came.',
  answer: { status: 200, about: 'As it is now', json: RealScreens },
} as const satisfies Operation;

export const letRealScreenIn = {
  id: 'letRealScreenIn',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/real-screens',
  about:
    'Opens a port of its own for ten minutes, or for ten minutes more, with a new address by which one screen can come once. It shows nothing but a page that reads a screen and draws what it is sent. Screens of another project are sent away.',
  body: z.object({
    network: z
      .string()
      .max(60)
      .optional()
      .describe('one of the addresses of this machine; the first when absent'),
  }),
  answer: { status: 201, about: 'The address', json: RealScreens },
  refusals: { 409: 'This machine is in no network, or the port is taken.' },
} as const satisfies Operation;

export const switchRealScreensOff = {
  id: 'switchRealScreensOff',
  group,
  method: 'DELETE',
  path: '/api/v1/projects/{project}/real-screens',
  about: 'Closes the port and sends every screen away.',
  answer: { status: 204, about: 'It is off' },
} as const satisfies Operation;

export const showOnRealScreen = {
  id: 'showOnRealScreen',
  group,
  method: 'POST',
  path: '/api/v1/projects/{project}/real-screens/{visitor}',
  about: 'Sends a real screen what to show: a picture, or the pictures of a film.',
  body: Shown,
  answer: { status: 204, about: 'It was passed on' },
} as const satisfies Operation;

export const sendRealScreenAway = {
  id: 'sendRealScreenAway',
  group,
  method: 'DELETE',
  path: '/api/v1/projects/{project}/real-screens/{visitor}',
  about: 'Ends what one real screen shows; it does not come back without a new address.',
  answer: { status: 204, about: 'It is gone' },
} as const satisfies Operation;
