import 'reflect-metadata';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fuzz } from '../test/fuzz/fuzz';

/** Changed files and requests into every reader: `npm run fuzz`, or `npm run fuzz -- 8000 7` for so many each and a seed. */
async function main(): Promise<void> {
  const [count = 8000, seed = 1] = process.argv.slice(2).map(Number);
  const findings = await fuzz(count, seed, (reader, n) => console.log(`${reader}: ${count} changed, ${n} found`));
  const kinds = new Map<string, { n: number; text: string }>();
  for (const { reader, why, text } of findings) {
    const kind = `${reader}: ${why.replace(/\d+(\.\d+)?(e[+-]?\d+)?/g, '#').slice(0, 160)}`;
    kinds.set(kind, { n: (kinds.get(kind)?.n ?? 0) + 1, text: kinds.get(kind)?.text ?? text });
  }
  const folder = join('test-results', 'fuzz');
  mkdirSync(folder, { recursive: true });
  [...kinds].forEach(([kind, { n, text }], i) => {
    writeFileSync(join(folder, `${i + 1}.txt`), text);
    console.log(`${n} × ${kind}   (test-results/fuzz/${i + 1}.txt)`);
  });
  console.log(`fuzz: ${findings.length} findings`);
  process.exitCode = findings.length > 0 ? 1 : 0;
}

void main();
