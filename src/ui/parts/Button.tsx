import clsx from 'clsx';

interface ButtonProps extends React.ButtonHTMLAttributes<HTMLButtonElement> {
  kind?: 'main' | 'plain' | 'quiet';
  ref?: React.Ref<HTMLButtonElement>;
}

const KINDS = {
  main: 'bg-button text-on-button border-button hover:opacity-90',
  plain: 'border-line bg-sheet hover:bg-sunk',
  quiet: 'border-transparent hover:bg-sunk',
};

export function Button({ kind = 'plain', className, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      {...rest}
      className={clsx(
        'inline-flex min-h-9 items-center justify-center gap-2 rounded-md border px-3 font-semibold whitespace-nowrap disabled:opacity-40 max-md:min-h-11',
        KINDS[kind],
        className,
      )}
    />
  );
}
