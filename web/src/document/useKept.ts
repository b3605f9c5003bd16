import { useEffect } from 'react';

import { sendKept } from './kept';

const EVERY_MS = 5000;

/** Sends what is kept for other jobs than the open one, at once and until nothing is kept. */
export function useKept(openId: string): void {
  useEffect(() => {
    let sending = false;
    const send = async () => {
      if (sending) return;
      sending = true;
      await sendKept((id) => id === openId);
      sending = false;
    };
    void send();
    const timer = setInterval(() => void send(), EVERY_MS);
    return () => clearInterval(timer);
  }, [openId]);
}
