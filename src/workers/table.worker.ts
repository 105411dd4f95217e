/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { readTable } from '@/formats/screens/read';

const api = { readTable };
export type TableWorker = typeof api;
Comlink.expose(api);
