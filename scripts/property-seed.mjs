import fc from 'fast-check';

/**
 * Properties begin from one seed, so that a build that is red is red again; another one looks further:
 * `PROPERTY_SEED=$RANDOM npm run unit`.
 */
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20261127) });

// What goes wrong in a test on purpose is not logged.
process.env.LOG_LEVEL ??= 'silent';
