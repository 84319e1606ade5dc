import { CaseView } from '@/ui/clinic/CaseView';

export const metadata = { title: 'What is wrong?' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <CaseView id={id} />;
}
