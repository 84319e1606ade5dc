// One name for one build, in the page and in what is kept of it.
process.env.COPPER_NOON_BUILD ??= Date.now().toString(36);

const language = process.env.COPPER_NOON_LANGUAGE;
/** The files of the interface, in another language if one is asked for: docs/language.md. */
const inLanguage = { condition: { path: /src\/(ui|app|core\/things)\// }, loaders: ['./scripts/language/loader.cjs'] };

/** @type {import('next').NextConfig} */
const config = {
  poweredByHeader: false,
  reactStrictMode: true,
  experimental: {
    // What is handed from device to device is larger than a page's usual question (60 MB and a little).
    proxyClientMaxBodySize: '64mb',
    // Half as many scripts to a page, which are packed better: a first page costs a sixth less of the processor, and a twentieth of the bytes.
    turbopackChunking: { minChunkSize: 200_000, maxMergeChunkSize: 1_000_000 },
  },
  // One package asks whether something is a Buffer of Node: without this the browser would load one for it.
  turbopack: {
    resolveAlias: { 'next/dist/compiled/buffer': { browser: './scripts/noBuffer.mjs' } },
    ...(language && { rules: { '*.tsx': inLanguage, '*.ts': inLanguage, '*.json': inLanguage } }),
  },
  generateBuildId: () => process.env.COPPER_NOON_BUILD,
  env: { COPPER_NOON_BUILD: process.env.COPPER_NOON_BUILD, COPPER_NOON_LANGUAGE: language ?? 'en' },
  // `npm test` has checked the types already by the time that it builds.
  typescript: { ignoreBuildErrors: process.env.COPPER_NOON_TYPES === 'checked' },
  // Addresses of before.
  async redirects() {
    const moved = { '/setups': '/stands', '/crops': '/season/crops', '/bench/compare': '/stands/compare' };
    return Object.entries(moved).map(([source, destination]) => ({ source, destination, permanent: false }));
  },
  async headers() {
    return [
      {
        source: '/(.*)',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'no-referrer' },
          { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
          { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
          { key: 'Permissions-Policy', value: 'camera=(self), microphone=(), geolocation=(self), payment=(), usb=()' },
        ],
      },
    ];
  },
};

export default config;
