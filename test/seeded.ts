import fc from 'fast-check';

/** Properties draw the same cases at every run, so that a landing never hangs on chance; `SEED=… npm run unit` draws others. */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20_260_301) });
