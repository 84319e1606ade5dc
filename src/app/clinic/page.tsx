import { ClinicView } from '@/ui/clinic/ClinicView';

export const metadata = { title: 'Clinic' };

export default function Page() {
  return <ClinicView />;
}
