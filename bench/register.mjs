// Runs TypeScript as the browser would get it: types taken away, nothing added. Other loaders wrap every
// function to keep its name, which costs more than the functions that are measured here.
import { register } from 'node:module';

register('./hooks.mjs', import.meta.url);
