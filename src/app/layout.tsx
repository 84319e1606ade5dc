import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { Shell } from '@/ui/shell/Shell';
import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow/latin-700.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@/ui/theme/globals.css';

export const metadata: Metadata = {
  title: { default: 'Copper Noon', template: '%s · Copper Noon' },
  description: 'Distance, evenness and timer hours for plants under lamps.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#101716' };

export default async function Layout({ children }: { children: React.ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang={process.env.COPPER_NOON_LANGUAGE} suppressHydrationWarning>
      <head>
        {/* Where the date fields look for leave to write their style element. */}
        <meta property="csp-nonce" nonce={nonce} />
      </head>
      <body>
        <Shell seed={process.env.COPPER_NOON_DEMO === '1' ? 'demo' : 'plain'} nonce={nonce}>
          {children}
        </Shell>
      </body>
    </html>
  );
}
