import { createHash } from 'node:crypto';
import { execFile, execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** What the two commands share: packages, the build, a free port. */

process.env.NEXT_TELEMETRY_DISABLED = '1';
const STAMPS = join('node_modules', '.copper-noon');

const hashOf = (paths) => {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory())
      readdirSync(path)
        .sort()
        .forEach((name) => add(join(path, name)));
    else hash.update(path).update(readFileSync(path));
  };
  paths.forEach(add);
  return hash.digest('hex');
};

const stamped = (name, hash) => existsSync(join(STAMPS, name)) && readFileSync(join(STAMPS, name), 'utf8') === hash;
const stamp = (name, hash) => {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(join(STAMPS, name), hash);
};

/** Runs a command and shows what it prints. @returns whether it ended well */
export function run(command, args, env = {}) {
  const { status } = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  return status === 0;
}

/** Runs a command beside others. @returns whether it ended well, and all that it printed */
export function runQuietly(command, args) {
  return new Promise((resolve) => {
    execFile(command, args, { maxBuffer: 1e8 }, (error, out, err) => resolve({ well: !error, printed: out + err }));
  });
}

/** Installs the packages of the lock file, unless they are there already. */
export function installPackages() {
  const lock = hashOf(['package-lock.json']);
  if (stamped('packages', lock)) return;
  console.log('Installing packages …');
  execFileSync('npm', ['ci', '--no-audit', '--no-fund'], { stdio: 'inherit' });
  stamp('packages', lock);
}

/** Builds the application, unless nothing has changed since the last build. @returns whether there is a build */
export function build() {
  const sources = hashOf([
    'src',
    'public/icons',
    'package-lock.json',
    'next.config.mjs',
    'postcss.config.mjs',
    'tsconfig.json',
    'scripts/compileHints.mjs',
    'scripts/serviceWorker.mjs',
  ]);
  if (existsSync('.next/BUILD_ID') && existsSync('public/sw.js') && stamped('build', sources)) return true;
  console.log('Building …');
  if (!run('npm', ['run', '--silent', 'build'])) return false;
  stamp('build', sources);
  return true;
}

/** A port that nobody listens on, the wanted one if it is free. */
export function freePort(wanted = 0) {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', (error) => (wanted ? freePort(0).then(resolve, reject) : reject(error)));
    server.listen(wanted, () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}
