import { spawn } from 'node:child_process';
import { build, freePort, installPackages } from './prepare.mjs';

installPackages();
if (!build()) process.exit(1);
const port = await freePort(Number(process.env.PORT ?? 4310));
// Only this machine is served, unless the person asks for the devices of their network too: npm run demo -- --lan.
const isOpen = process.argv.includes('--lan');
const host = isOpen ? '0.0.0.0' : '127.0.0.1';
const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', host], {
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, COPPER_NOON_DEMO: '1', COPPER_NOON_LAN: isOpen ? '1' : '0' },
});
server.stdout.on('data', (text) => {
  if (/Ready/i.test(String(text))) console.log(`\nCopper Noon is at http://localhost:${port} (stop it with Ctrl+C)`);
  if (/Ready/i.test(String(text)) && isOpen) console.log('Other devices of your network can open it too, at this computer’s address.');
});
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
