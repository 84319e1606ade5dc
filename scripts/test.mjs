import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, freePort, installPackages, run, runQuietly } from './prepare.mjs';

/** Chromium comes while the packages do: both wait for the network most of the time. */
const chromium = existsSync('/usr/bin/chromium') ? null : installChromium();
installPackages();
const came = await chromium;
if (came && !came.well) {
  console.error(`Chromium could not be installed:\n${came.printed}`);
  process.exit(1);
}

/** As one command, which goes on by itself while this process waits for npm. */
function installChromium() {
  console.log('Installing Chromium …');
  const apt = process.getuid?.() === 0 ? 'apt-get' : 'sudo apt-get';
  return runQuietly('sh', ['-c', `${apt} update -qq && ${apt} install -qq -y --no-install-recommends chromium`]);
}

const reports = mkdtempSync(join(tmpdir(), 'copper-noon-'));
let passed = 0;
let failed = 0;
const count = (ok) => (ok ? passed++ : failed++);
const report = (file) => JSON.parse(readFileSync(join(reports, file), 'utf8'));

/** Two lanes of about one length, as even small machines have two cores. */
const checks = await Promise.all(
  [
    [
      ['types', ['tsc', '--noEmit', '-p', '.']],
      ['types of the core, without a browser', ['tsc', '--noEmit', '-p', 'src/core']],
      ['format', ['prettier', '--check', '--log-level', 'warn', '--experimental-cli', '.']],
    ],
    [
      ['lint', ['eslint', '.', '--max-warnings', '0']],
      ['arrows between the rooms', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs']],
      ['no circles of folders', ['depcruise', 'src', '--config', '.dependency-cruiser.folders.cjs']],
    ],
  ].map(async (lane) => {
    const ended = [];
    for (const [name, command] of lane) {
      const { well, printed } = await runQuietly('npx', command);
      console.log(`\n— ${name}\n${printed}`);
      ended.push(well);
    }
    return ended;
  }),
);
checks.flat().forEach(count);

console.log('\n— unit tests');
const unitsWell = run('npx', ['jest', '--maxWorkers=100%', '--json', '--outputFile', join(reports, 'jest.json')]);
try {
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = report('jest.json');
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
  if (numPassedTests === 0) failed++;
} catch {
  failed++;
}
if (!unitsWell && failed === 0) failed++;

console.log('\n— production build');
// The types have been checked above, and count there.
process.env.COPPER_NOON_TYPES = 'checked';
const built = build();
count(built);
if (built) {
  console.log('\n— in the browser');
  const ports = { E2E_PORT: String(await freePort()), E2E_DEMO_PORT: String(await freePort()) };
  const browserWell = run('npx', ['playwright', 'test'], { ...ports, PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'e2e.json') });
  try {
    const { expected, unexpected, flaky } = report('e2e.json').stats;
    passed += expected;
    failed += unexpected + flaky;
    if (expected === 0) failed++;
  } catch {
    failed++;
  }
  if (!browserWell && failed === 0) failed++;
}

console.log(`\ntests: ${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
