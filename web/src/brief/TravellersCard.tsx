import Button from 'react-bootstrap/Button';

import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { chosenVariant } from '../document/SessionContext';
import { drop, newId, on } from '../document/things';
import { derived, useDerive } from '../document/useDerive';
import type { Traveller } from '../api/types';
import { useBriefEdit } from './useBriefEdit';

const person: Omit<Traveller, 'id'> = {
  name: 'New traveller',
  kind: 'person',
  mass: 80,
  height: 0,
  shoulder: 0,
  reach: 0,
  sleeps: true,
  serves: true,
  water: 0,
};
const animal: Omit<Traveller, 'id'> = {
  ...person,
  name: 'New animal',
  kind: 'animal',
  mass: 20,
  sleeps: false,
  serves: false,
};

/** Who comes along. */
export function TravellersCard() {
  const { brief, job, edit, input, box, unit } = useBriefEdit();
  const derive = useDerive();
  const add = (kind: typeof person) =>
    edit(`Add ${kind.kind}`, (b) => b.travellers.push({ ...kind, id: newId(b.travellers, kind.kind) }));
  const number =
    (label: string, key: 'mass' | 'height' | 'shoulder' | 'reach' | 'water', kind: 'mass' | 'length' | 'volume') =>
    (t: Traveller) =>
      input(
        `${label} of ${t.name}`,
        t[key],
        kind,
        (b, value) => on(b.travellers, t.id, (x) => (x[key] = value)),
        key !== 'mass',
      );
  const missing = brief.travellers.filter((t) => !chosenVariant(job).items.some((i) => i.id === t.id));
  return (
    <Panel
      title="Who comes along"
      className="wide"
      note="Empty means not asked"
      actions={
        <>
          {missing.length > 0 && brief.travellers.length > 0 && (
            <Button
              size="sm"
              variant="outline-secondary"
              onClick={() => void derive('Put travellers aboard', derived('put-aboard'))}
            >
              Put {missing.length} aboard
            </Button>
          )}
          <AddButton label="Add person" onClick={() => add(person)} />
          <AddButton label="Add animal" onClick={() => add(animal)} />
        </>
      }
    >
      <ThingTable
        label="Travellers"
        what="Traveller"
        className="travellers-table"
        things={brief.travellers}
        empty="Nobody yet. Who travels decides mass, water, the bed and every height."
        onRename={(t, name) =>
          edit(`Name of ${t.name}`, (b) => on(b.travellers, t.id, (x) => (x.name = name)), `traveller ${t.id}`)
        }
        onRemove={(t) => edit(`Remove ${t.name}`, (b) => drop(b.travellers, t.id))}
        columns={[
          { head: `Mass ${unit('mass')}`, cell: number('Mass', 'mass', 'mass') },
          {
            head: `Height ${unit('length')}`,
            title: 'Body height; of an animal the length it lies in',
            cell: number('Body height', 'height', 'length'),
          },
          {
            head: `Shoulders ${unit('length')}`,
            title: 'Shoulder width',
            cell: number('Shoulder width', 'shoulder', 'length'),
          },
          {
            head: `Grip ${unit('length')}`,
            title: 'How high the hand grips, standing on the ground',
            cell: number('Grip height', 'reach', 'length'),
          },
          {
            head: `Water ${unit('volume')}/day`,
            title: 'Empty: as assumed for everyone',
            cell: number('Water a day', 'water', 'volume'),
          },
          {
            head: 'Sleeps',
            title: 'Sleeps in or on the vehicle',
            centred: true,
            cell: (t) =>
              box(`${t.name} sleeps at the vehicle`, t.sleeps, (b, yes) =>
                on(b.travellers, t.id, (x) => (x.sleeps = yes)),
              ),
          },
          {
            head: 'Serves',
            title: 'Packs, cooks and reaches into things: heights are for them',
            centred: true,
            cell: (t) =>
              box(`${t.name} packs and cooks`, t.serves, (b, yes) => on(b.travellers, t.id, (x) => (x.serves = yes))),
          },
        ]}
      />
    </Panel>
  );
}
