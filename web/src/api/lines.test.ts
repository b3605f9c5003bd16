import { afterEach, describe, expect, it, vi } from 'vitest';

import { readLines } from './lines';

/** An answer that comes in pieces, cut anywhere. */
function answered(pieces: string[], init: ResponseInit = {}): void {
  const bytes = pieces.map((piece) => new TextEncoder().encode(piece));
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      for (const piece of bytes) controller.enqueue(piece);
      controller.close();
    },
  });
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.resolve(new Response(body, init))),
  );
}

async function read(): Promise<unknown[]> {
  const all: unknown[] = [];
  await readLines('/api/x', { a: 1 }, new AbortController().signal, (line) => all.push(line));
  return all;
}

afterEach(() => vi.unstubAllGlobals());

describe('lines of an answer', () => {
  it('are told as they come, however they are cut', async () => {
    const whole = '{"share":0.1}\n{"share":0.5,"name":"Größe − ½"}\n{"share":1}\n';
    for (let cut = 1; cut < whole.length; cut++) {
      answered([whole.slice(0, cut), whole.slice(cut)]);
      expect(await read()).toEqual([{ share: 0.1 }, { share: 0.5, name: 'Größe − ½' }, { share: 1 }]);
    }
  });

  it('may be cut within a letter', async () => {
    const bytes = new TextEncoder().encode('{"name":"−"}\n');
    for (let cut = 1; cut < bytes.length; cut++) {
      const body = new ReadableStream<Uint8Array>({
        start(controller) {
          controller.enqueue(bytes.slice(0, cut));
          controller.enqueue(bytes.slice(cut));
          controller.close();
        },
      });
      vi.stubGlobal('fetch', () => Promise.resolve(new Response(body)));
      expect(await read()).toEqual([{ name: '−' }]);
    }
  });

  it('may be none', async () => {
    answered([]);
    expect(await read()).toEqual([]);
    answered(['\n\n']);
    expect(await read()).toEqual([]);
  });

  it('of a refusal are its sentence', async () => {
    answered(['{"detail":"limit: roof was given"}'], { status: 422 });
    await expect(read()).rejects.toThrow('limit: roof was given');
    answered(['{}'], { status: 500 });
    await expect(read()).rejects.toThrow('It was refused.');
  });
});
