/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { answering } from './answering';
import { launching } from './launching';
import { reviewingHere } from './reviewing';
import { surveying } from './surveying';

const api = { ...surveying, ...answering, ...launching, ...reviewingHere };
export type SurveyWorker = typeof api;
Comlink.expose(api);
