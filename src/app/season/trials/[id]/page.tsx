import { TrialView } from '@/ui/trials/TrialView';

export const metadata = { title: 'Trial' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <TrialView id={id} />;
}
