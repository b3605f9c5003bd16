import { useRef, useState } from 'react';

import { readLines } from './lines';

/** Something that takes its time: how far it is, what it found, and a way to call it off. */
export function useLines<Line extends { share: number }>(path: string) {
  const [share, setShare] = useState<number>();
  const [last, setLast] = useState<Line>();
  const [trouble, setTrouble] = useState('');
  const running = useRef<AbortController>(undefined);
  const stop = () => running.current?.abort();
  const ask = async (body: object) => {
    stop();
    const own = new AbortController();
    running.current = own;
    setShare(0);
    setLast(undefined);
    setTrouble('');
    try {
      await readLines<Line>(path, body, own.signal, (line) => {
        setShare(line.share);
        setLast(line);
      });
    } catch (error) {
      if (!own.signal.aborted)
        setTrouble(
          error instanceof TypeError
            ? 'The server does not answer; nothing was asked.'
            : error instanceof Error
              ? error.message
              : String(error),
        );
    } finally {
      if (running.current === own) setShare(undefined);
    }
  };
  return { ask, stop, share, last, trouble };
}
