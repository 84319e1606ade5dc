import { Link } from '../parts/Link';
/** Nothing is known to be done yet: what will be here, and the way to it. */
export function TodayEmpty() {
  return (
    <section className="m-auto max-w-xl space-y-4 p-6">
      <h1 className="text-2xl font-semibold">Today</h1>
      <p>
        Once you have drawn your rack, shelf or sill with its lamps and dated trays, what to do stands here every day: lamps to raise,
        seedlings to look for, trays to pot on, in the order in which you walk along them.
      </p>
      <div className="flex flex-wrap gap-3">
        <Link href="/check" className="inline-flex min-h-11 items-center rounded-md bg-button px-4 font-semibold text-on-button">
          Check one lamp over one tray
        </Link>
        <Link href="/stands" className="inline-flex min-h-11 items-center rounded-md border border-line bg-sheet px-4 font-semibold">
          Draw a stand
        </Link>
        <Link href="/season" className="inline-flex min-h-11 items-center rounded-md border border-line bg-sheet px-4 font-semibold">
          Plan a season
        </Link>
      </div>
    </section>
  );
}
