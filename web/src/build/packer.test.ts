import { readFileSync } from 'node:fs';

import { MaxRectsPacker } from 'maxrects-packer';
import { describe, expect, it } from 'vitest';

interface Lists {
  length: number;
  width: number;
  kerf: number;
  lists: { pieces: [number, number][]; sheets: number; used: number }[];
}

const file = JSON.parse(readFileSync('../internal/core/cut/testdata/lists.json', 'utf8')) as Lists;

/** How a general packer of rectangles lays a list out, the best of its ways: it need not be cut from edge to edge. */
function packed(pieces: [number, number][]): { sheets: number; used: number } {
  const ways = [0, 1].map((logic) => {
    const packer = new MaxRectsPacker(file.length, file.width, file.kerf, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
      logic,
    });
    packer.addArray(pieces.map(([width, height]) => ({ x: 0, y: 0, width, height }) as never));
    const free = packer.bins.map((bin) => {
      const rests = (bin as unknown as { freeRects: { width: number; height: number }[] }).freeRects;
      return Math.max(0, ...rests.map((r) => r.width * r.height));
    });
    const rest = Math.max(...free) / (file.length * file.width);
    return { sheets: packer.bins.length, used: packer.bins.length - Math.min(1, rest) };
  });
  return ways.reduce((a, b) => (b.sheets < a.sheets || (b.sheets === a.sheets && b.used < a.used) ? b : a));
}

describe('sheets against a general packer of rectangles', () => {
  it('never takes more sheets, and wastes less in all', () => {
    let [own, others, more, fewer] = [0, 0, 0, 0];
    for (const list of file.lists) {
      const other = packed(list.pieces);
      if (list.sheets > other.sheets) more++;
      if (list.sheets < other.sheets) fewer++;
      own += list.used;
      others += other.used;
    }
    console.log(
      `${file.lists.length} lists: more sheets ${more} times, fewer ${fewer} times; used ${own.toFixed(2)} against ${others.toFixed(2)} sheets`,
    );
    expect(file.lists.length).toBe(100);
    expect(more).toBe(0);
    expect(own).toBeLessThan(others);
  });
});
