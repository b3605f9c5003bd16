import { useRef, useState } from 'react';

import type { Job, Proposals, ProposeLine, Wishes } from '../api/types';

/** Asks the core for arrangements: how far it is, what it found, and a way to call it off. */
export function useProposals() {
  const [share, setShare] = useState<number>();
  const [found, setFound] = useState<Proposals>();
  const [trouble, setTrouble] = useState('');
  const running = useRef<AbortController>(undefined);
  const stop = () => running.current?.abort();
  const ask = async (job: Job, wishes: Wishes) => {
    stop();
    const own = new AbortController();
    running.current = own;
    setShare(0);
    setFound(undefined);
    setTrouble('');
    try {
      const response = await fetch('/api/propose', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ wishes, job }), signal: own.signal });
      if (!response.ok || !response.body) {
        const problem = (await response.json()) as { detail?: string };
        throw new Error(problem.detail ?? 'It was refused.');
      }
      await readLines(response.body, (line) => {
        setShare(line.share);
        if (line.proposals) setFound(line.proposals);
      });
    } catch (error) {
      if (!own.signal.aborted) setTrouble(error instanceof TypeError ? 'The server does not answer; nothing was asked.' : error instanceof Error ? error.message : String(error));
    } finally {
      if (running.current === own) setShare(undefined);
    }
  };
  return { ask, stop, share, found, trouble };
}

async function readLines(body: ReadableStream<Uint8Array>, tell: (line: ProposeLine) => void): Promise<void> {
  const reader = body.getReader();
  const text = new TextDecoder();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    const lines = (rest + (value ? text.decode(value, { stream: true }) : '')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') tell(JSON.parse(line) as ProposeLine);
    if (done) return;
  }
}
