'use client';
import NextLink from 'next/link';
import { useState, type ComponentProps } from 'react';

/**
 * A link to another place of the application. What stands behind it is asked of the server when a hand comes near or the keyboard is on it,
 * not as soon as it is in view: a page shows dozens, and all of them together take longer than the page itself.
 */
export function Link({ onPointerEnter, onFocus, ...rest }: ComponentProps<typeof NextLink>) {
  const [isNear, setNear] = useState(false);
  return (
    <NextLink
      {...rest}
      prefetch={isNear}
      onPointerEnter={(e) => {
        setNear(true);
        onPointerEnter?.(e);
      }}
      onFocus={(e) => {
        setNear(true);
        onFocus?.(e);
      }}
    />
  );
}
