import { redirect } from 'next/navigation';

/** A stand by itself is its bench. */
export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/stands/${(await params).id}/bench`);
}
