import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';

/** What a page loads before anything can be seen: modules reached without a dynamic import. */
function reachedFrom(entry: string): ReadonlySet<string> {
  const reached = new Set<string>();
  const open = [join(process.cwd(), entry)];
  for (let file = open.pop(); file !== undefined; file = open.pop()) {
    const key = relative(process.cwd(), file);
    if (reached.has(key)) continue;
    reached.add(key);
    const code = readFileSync(file, 'utf8').replace(/\/\*[\s\S]*?\*\//g, '');
    for (const [, kind, from] of code.matchAll(/^(?:import|export)\s+(type\s)?(?:[^'"]*?\sfrom\s+)?['"]([^'"]+)['"]/gm)) {
      if (kind) continue;
      const found = from!.startsWith('.') || from!.startsWith('@/') ? fileOf(file, from!) : null;
      if (found) open.push(found);
      else
        reached.add(
          `npm:${from!
            .split('/')
            .slice(0, from!.startsWith('@') ? 2 : 1)
            .join('/')}`,
        );
    }
  }
  return reached;
}

function fileOf(from: string, to: string): string | null {
  const plain = to.startsWith('@/') ? join(process.cwd(), 'src', to.slice(2)) : join(dirname(from), to);
  return ['', '.ts', '.tsx', '/index.ts'].map((end) => `${plain}${end}`).find((f) => /\.tsx?$|\.json$/.test(f) && existsSync(f)) ?? null;
}

/** Of every page, and of those that a person comes to most. */
const ENTRIES = ['src/store/workspace.ts', 'src/app/layout.tsx', 'src/app/check/page.tsx', 'src/app/today/page.tsx', 'src/app/stands/[id]/bench/page.tsx', 'src/app/season/page.tsx', 'src/app/clinic/page.tsx', 'src/app/tray/[id]/page.tsx']; // prettier-ignore
/** What is large, and needed later or in few places. */
const LATER = ['jstat', 'chart.js', 'react-chartjs-2', 'papaparse', 'fflate', 'jsqr', 'qrcode', 'highs', 'image-size', '@noble/ciphers', 'timezones-ical-library', '@tanstack/react-table', 'react-aria-components']; // prettier-ignore

test.each(ENTRIES)('%s loads nothing large that is not seen at first', (entry) => {
  const reached = reachedFrom(entry);
  expect(reached.size).toBeGreaterThan(200);
  expect(LATER.filter((name) => reached.has(`npm:${name}`))).toEqual([]);
});

test('what is looked for would be found', () => {
  expect([...reachedFrom('src/store/files/showLink.ts')]).toContain('npm:fflate');
  expect([...reachedFrom('src/core/plan/trial/resultOf.ts')]).toContain('npm:jstat');
});
