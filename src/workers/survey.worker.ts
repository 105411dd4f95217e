/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { answering } from './answering';
import { launching } from './launching';
import { surveying } from './surveying';

const api = { ...surveying, ...answering, ...launching };
export type SurveyWorker = typeof api;
Comlink.expose(api);
