/** A moment of the server's as this browser's clock and calendar tell it. */
export function sayWhen(at: string): string {
  return new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}
