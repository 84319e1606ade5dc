import clsx from 'clsx';

/** A list to choose one from, as the browser has it, in the dress of the other fields; its size comes with the place. */
export function Select({ className, ...rest }: React.SelectHTMLAttributes<HTMLSelectElement>) {
  return (
    <select
      {...rest}
      className={clsx('min-h-9 rounded-md border border-line bg-sheet px-2 font-semibold text-ink max-md:min-h-11', className)}
    />
  );
}
