import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generateSW } from 'workbox-build';

/*
 * Writes public/sw.js after a build: the pages and all that they load, kept in the browser, so that the application opens when the
 * server is away. A new version waits until the person takes it (src/ui/shell/useServiceWorker.ts).
 */

const build = readFileSync('.next/BUILD_ID', 'utf8').trim();

/** The addresses of all pages without a part that varies; those are kept by the page itself once they exist. */
function addresses(folder, path = '') {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory())
      return entry.name.startsWith('[') || entry.name === 'api' ? [] : addresses(join(folder, entry.name), `${path}/${entry.name}`);
    return entry.name === 'page.tsx' ? [path || '/'] : [];
  });
}

const { count, size, warnings } = await generateSW({
  swDest: 'public/sw.js',
  sourcemap: false,
  inlineWorkboxRuntime: true,
  cacheId: 'copper-noon',
  globDirectory: '.next/static',
  globPatterns: ['**/*.{js,css,woff2,wasm,json}'],
  globIgnores: ['**/*.map'],
  modifyURLPrefix: { '': '/_next/static/' },
  dontCacheBustURLsMatching: /./,
  maximumFileSizeToCacheInBytes: 8_000_000,
  additionalManifestEntries: [...addresses('src/app'), '/icon.svg', '/manifest.webmanifest'].map((url) => ({ url, revision: build })),
  cleanupOutdatedCaches: true,
  clientsClaim: true,
  skipWaiting: false,
  ignoreURLParametersMatching: [/^utm_/],
  runtimeCaching: [
    {
      // Pages with a name in their address: from the server while it answers, else as they were kept.
      urlPattern: ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && !url.pathname.startsWith('/api/'),
      handler: 'NetworkFirst',
      options: { cacheName: `copper-noon-pages-${build}`, networkTimeoutSeconds: 5, cacheableResponse: { statuses: [200] } },
    },
  ],
});
/*
 * What starts a worker finds its parts in the fragment of its own address. An answer that was kept has an address without one, and would
 * be the worker's; an answer made anew has none, and leaves the worker the address that was asked for.
 */
const forWorkers = `self.addEventListener('fetch', (event) => {
  if (event.request.destination !== 'worker') return;
  event.stopImmediatePropagation();
  event.respondWith(
    caches.match(event.request).then((kept) => (kept ? new Response(kept.body, { status: kept.status, headers: kept.headers }) : fetch(event.request))),
  );
});
`;
writeFileSync('public/sw.js', forWorkers + readFileSync('public/sw.js', 'utf8'));
for (const warning of warnings) console.warn(warning);
console.log(`Kept for work without the server: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
