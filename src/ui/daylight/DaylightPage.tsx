import { HoursHead } from '../hours/HoursHead';

/** The place of daylight while there is no year to show yet. */
export function DaylightPage({ children }: { children: React.ReactNode }) {
  return (
    <div className="min-h-0 flex-1 lg:overflow-y-auto">
      <div className="mx-auto w-full max-w-6xl px-4 py-5 md:px-6">
        <HoursHead title="Daylight" />
        {children}
      </div>
    </div>
  );
}
