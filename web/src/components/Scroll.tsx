import type { ReactNode } from 'react';

/** A part of the screen that scrolls by itself, with the keyboard too. */
export function Scroll({ label, className, children }: { label: string; className?: string; children: ReactNode }) {
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- only what has focus can be scrolled with keys
    <div className={`scroll ${className ?? ''}`} tabIndex={0} role="region" aria-label={label}>
      {children}
    </div>
  );
}
