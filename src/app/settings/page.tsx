import { SettingsView } from '@/ui/settings/SettingsView';

export const metadata = { title: 'Settings · Copper Noon' };

export default function Page() {
  return <SettingsView />;
}
