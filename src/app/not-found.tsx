import { Link } from '@/ui/parts/Link';
export const metadata = { title: 'Not found' };

export default function NotFound() {
  return (
    <section className="m-auto max-w-md space-y-4 p-6">
      <h1 className="text-2xl font-semibold">There is no page at this address.</h1>
      <p>Check the address, or go on from here. Your data is safe.</p>
      <p className="flex gap-5">
        <Link href="/stands" className="font-semibold underline underline-offset-4">
          Stands
        </Link>
        <Link href="/check" className="font-semibold underline underline-offset-4">
          Check
        </Link>
      </p>
    </section>
  );
}
