import { spawn } from 'node:child_process';
import { build, freePort, installPackages } from './prepare.mjs';

installPackages();
if (!build()) process.exit(1);
const port = await freePort(Number(process.env.PORT ?? 4310));
// Only this machine is served, unless asked otherwise: HOST=0.0.0.0 npm run demo.
const host = process.env.HOST ?? '127.0.0.1';
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', host], {
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, COPPER_NOON_DEMO: '1' },
});
server.stdout.on('data', (text) => {
  if (/Ready/i.test(String(text))) console.log(`\nCopper Noon is at http://localhost:${port} (stop it with Ctrl+C)\n`);
});
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
