/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { answering } from './answering';
import { mapping } from './mapping';
import { launching } from './launching';
import { reviewingHere } from './reviewing';
import { surveying } from './surveying';

const api = { ...surveying, ...answering, ...launching, ...mapping, ...reviewingHere };
export type SurveyWorker = typeof api;
Comlink.expose(api);
