/** What stands above a part of a stand: its title, and what can be done with it. */
export function HoursHead({ title, children }: { title: string; children?: React.ReactNode }) {
  return (
    <header className="flex flex-wrap items-end gap-x-3 gap-y-2 pb-4 print:hidden">
      <h1 className="flex-1 text-2xl font-semibold">{title}</h1>
      {children}
    </header>
  );
}
