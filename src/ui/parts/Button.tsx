import clsx from 'clsx';

interface ButtonProps extends React.ButtonHTMLAttributes<HTMLButtonElement> {
  kind?: 'main' | 'plain' | 'quiet';
  /** For a sign alone, or a few letters: as wide as it is high. */
  size?: 'text' | 'icon';
  ref?: React.Ref<HTMLButtonElement>;
}

const KINDS = {
  main: 'bg-button text-on-button border-button hover:opacity-90',
  plain: 'border-line bg-sheet hover:bg-sunk',
  quiet: 'border-transparent hover:bg-sunk',
};

const SIZES = { text: 'px-3', icon: 'px-2' };

export function Button({ kind = 'plain', size = 'text', className, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      {...rest}
      className={clsx(
        'inline-flex min-h-9 items-center justify-center gap-2 rounded-md border font-semibold whitespace-nowrap disabled:opacity-40 aria-disabled:opacity-40 max-md:min-h-11',
        KINDS[kind],
        SIZES[size],
        className,
      )}
    />
  );
}
