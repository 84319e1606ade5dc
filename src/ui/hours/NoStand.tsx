import { Link } from '../parts/Link';
/** Where hours would be, and there is no stand yet. */
export function NoStand({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="m-auto max-w-md space-y-4 p-6 text-center">
      <h1 className="text-2xl font-semibold">{title}</h1>
      <p>{children}</p>
      <Link href="/bench" className="font-semibold underline underline-offset-4">
        To the bench
      </Link>
    </section>
  );
}
