import { readFileSync, writeFileSync } from 'node:fs';
import { clinicTables } from '../src/core/judge/clinic/clinicTables';

/** Writes the tables of docs/clinic.md anew from the model: `npm run clinic-table`. */
const FILE = 'docs/clinic.md';
const [before] = readFileSync(FILE, 'utf8').split('<!-- tables -->');
writeFileSync(FILE, `${before}<!-- tables -->\n\n${clinicTables()}`);
