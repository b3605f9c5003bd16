import { useState } from 'react';

/** What was answered last, also while the server is away or refuses what is typed just now. */
export function useLast<T>(data: T | undefined): T | undefined {
  const [last, setLast] = useState(data);
  if (data !== undefined && data !== last) setLast(data);
  return data ?? last;
}
