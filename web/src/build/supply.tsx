import type { ReactNode } from 'react';

import type { Build, Sheet } from '../api/types';
import type { Column } from '../components/ThingTable';
import { TextField } from '../components/TextField';
import type { Kind } from '../quantity/units';

type Supply = Sheet['supply'];
interface Supplied {
  name: string;
  supply: Supply;
}
type Input = (
  label: string,
  value: number,
  kind: Kind,
  set: (build: Build, value: number) => void,
  emptyForZero?: boolean,
) => ReactNode;

/** Where something comes from, as columns of its table. */
export function supplyColumns<T extends Supplied>(
  edit: (thing: T, label: string, change: (s: Supply) => void) => void,
  input: Input,
): Column<T>[] {
  const words = (key: 'from' | 'number', head: string, label: string): Column<T> => ({
    head,
    words: true,
    cell: (t) => (
      <TextField
        label={`${label} of ${t.name}`}
        value={t.supply[key]}
        maxLength={120}
        onCommit={(v) => edit(t, label, (s) => (s[key] = v))}
      />
    ),
  });
  return [
    words('from', 'Supplier', 'Supplier'),
    words('number', 'Number', "Supplier's number"),
    {
      head: 'Days',
      title: 'From order to delivery',
      cell: (t) =>
        input(
          `Days until ${t.name} is there`,
          t.supply.days,
          'plain',
          (_, v) => edit(t, 'Days', (s) => (s.days = v)),
          true,
        ),
    },
  ];
}

interface Stocked {
  id: string;
  name: string;
  price: number;
  have: number;
  more: boolean;
}

/** What something costs, how many are there, and whether more can be bought, as columns of its table. */
export function stockColumns<T extends Stocked>(
  list: (build: Build) => Stocked[],
  {
    input,
    box,
  }: {
    input: Input;
    box: (label: string, checked: boolean, set: (build: Build, checked: boolean) => void) => ReactNode;
  },
): Column<T>[] {
  const on = (build: Build, id: string, change: (x: Stocked) => void) =>
    list(build)
      .filter((x) => x.id === id)
      .forEach(change);
  return [
    {
      head: 'Price',
      cell: (t) =>
        input(
          `Price of ${t.name}`,
          t.price / 100,
          'plain',
          (b, v) => on(b, t.id, (x) => (x.price = Math.round(v * 100))),
          true,
        ),
    },
    {
      head: 'In stock',
      cell: (t) =>
        input(`In stock of ${t.name}`, t.have, 'plain', (b, v) => on(b, t.id, (x) => (x.have = Math.round(v)))),
    },
    {
      head: 'More',
      title: 'More can be bought',
      centred: true,
      cell: (t) => box(`More of ${t.name} can be bought`, t.more, (b, v) => on(b, t.id, (x) => (x.more = v))),
    },
  ];
}
