'use client';
import { Broken } from '@/ui/shell/Broken';

export default function ErrorPage({ error, reset }: { error: Error; reset(): void }) {
  return <Broken error={error} retry={reset} />;
}
