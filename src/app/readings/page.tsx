import { ToStand } from '@/ui/stands/ToStand';

export default function Page() {
  return <ToStand part="readings" />;
}
