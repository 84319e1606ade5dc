'use client';
import '@/ui/theme/globals.css';
import { Broken } from '@/ui/shell/Broken';

export default function GlobalError({ error, reset }: { error: Error; reset(): void }) {
  return (
    <html lang={process.env.COPPER_NOON_LANGUAGE}>
      <body className="flex min-h-dvh">
        <Broken error={error} retry={reset} />
      </body>
    </html>
  );
}
