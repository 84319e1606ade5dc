import { SetUps } from '@/ui/setups/SetUps';

export const metadata = { title: 'Set-ups · Copper Noon' };

export default function Page() {
  return <SetUps />;
}
