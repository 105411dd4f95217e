/** How many browsers are driven at the same time. */
export const WORKERS = 2;

const FIRST_PORT = Number(process.env.E2E_PORT ?? 3107);
/** Ports between those of the servers are free for what single tests start. */
const STEP = 10;

export const portOf = (worker: number) => FIRST_PORT + worker * STEP;
export const addressOf = (worker: number) => `http://127.0.0.1:${portOf(worker)}`;

/** The store that all of them begin with, prepared once. */
export const PREPARED = 'test-results/store-prepared';
