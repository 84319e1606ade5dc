import { readFileSync, writeFileSync } from 'node:fs';

/** Takes the download addresses out of the lock file: `npm run lock`, after any `npm install`. The integrity hashes stay. */
const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
for (const entry of Object.values(lock.packages)) if (/^https?:/.test(entry.resolved ?? '')) delete entry.resolved;
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
