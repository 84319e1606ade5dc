import { expose } from 'comlink';
import { holdLife } from '../life';
import highs from 'highs';
import { createSeasonApi } from './season.answers';

/** The solver ships with the application, beside this script. */
const wasm = new URL('highs/runtime', import.meta.url);
expose(createSeasonApi(() => highs({ locateFile: () => wasm.href })));
holdLife(self);
