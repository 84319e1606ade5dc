import type { MetadataRoute } from 'next';

/** What a device shows once the application is installed on it. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Copper Noon',
    short_name: 'Copper Noon',
    description: 'Distance, evenness and timer hours for plants under lamps.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#101716',
    theme_color: '#101716',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/icons/192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/512.png', sizes: '512x512', type: 'image/png' },
    ],
    shortcuts: [
      { name: 'Today', url: '/today' },
      { name: 'Journal', url: '/today/journal' },
    ],
  };
}
