import { SettingsView } from '@/ui/settings/SettingsView';

export const metadata = { title: 'Settings' };

export default function Page() {
  return <SettingsView />;
}
