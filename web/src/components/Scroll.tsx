import type { ReactNode, Ref } from 'react';

/** A part of the screen that scrolls by itself, with the keyboard too. */
export function Scroll({
  label,
  className,
  ref,
  children,
}: {
  label: string;
  className?: string;
  ref?: Ref<HTMLDivElement>;
  children: ReactNode;
}) {
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- only what has focus can be scrolled with keys
    <div ref={ref} className={`scroll ${className ?? ''}`} tabIndex={0} role="region" aria-label={label}>
      {children}
    </div>
  );
}
