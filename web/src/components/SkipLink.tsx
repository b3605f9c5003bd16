/** Brings the keyboard past what is long; seen only when the keyboard comes to it. */
export function SkipLink({ to, children }: { to: string; children: string }) {
  return (
    <button
      type="button"
      className="skip-link"
      onClick={() => {
        const place = document.querySelector<HTMLElement>(to);
        place?.scrollIntoView({ block: 'nearest' });
        place?.focus();
      }}
    >
      {children}
    </button>
  );
}
