import type { Carrier } from '../api/types';
import { Field } from '../components/Field';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { chosenVariant } from '../document/SessionContext';
import { drop, newId, on } from '../document/things';
import { useVehicleEdit } from './useVehicleEdit';

/** A canopy or box that comes off the vehicle: what goes with it, and the legs on which it stands then. */
export function CarrierCard() {
  const { job, vehicle, edit, input, tick, text, placeColumns, unit } = useVehicleEdit();
  const carrier = vehicle.carrier;
  const items = chosenVariant(job).items.filter((i) => !i.in && i.seat === '' && i.bay === '');
  const own = (label: string, change: (c: Carrier) => void, key?: string) =>
    edit(label, (v) => v.carrier && change(v.carrier), key);
  const note = (list: 'bays' | 'items', id: string, name: string) =>
    tick(
      `${name} comes off`,
      name,
      carrier?.[list].some((t) => t.of === id) ?? false,
      (v, off) =>
        v.carrier &&
        (v.carrier[list] = off ? [...v.carrier[list], { of: id }] : v.carrier[list].filter((t) => t.of !== id)),
    );
  return (
    <Panel
      title="What comes off"
      className="wide"
      note="A canopy or box that stands on legs at home or at camp"
      actions={
        carrier ? (
          <>
            <AddButton
              label="Add leg"
              onClick={() =>
                own('Add leg', (c) =>
                  c.legs.push({
                    id: newId(c.legs, 'leg'),
                    name: `Leg ${c.legs.length + 1}`,
                    at: {
                      x: vehicle.outline.headboard + (c.legs.length < 2 ? 200 : 1800),
                      y: c.legs.length % 2 === 0 ? -900 : 900,
                      z: 0,
                    },
                    rating: 0,
                  }),
                )
              }
            />
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              onClick={() => edit('Nothing comes off', (v) => delete v.carrier)}
            >
              Nothing comes off
            </button>
          </>
        ) : (
          <AddButton
            label="Something comes off"
            onClick={() =>
              edit('Something comes off', (v) => (v.carrier = { name: 'Canopy', bays: [], items: [], legs: [] }))
            }
          />
        )
      }
    >
      {!carrier ? (
        <p className="empty">All stays on. A stance can take off what is entered here.</p>
      ) : (
        <>
          <div className="form form-wide">
            <Field label="It is called">
              {text(
                'Name of what comes off',
                carrier.name,
                (v, name) => v.carrier && (v.carrier.name = name),
                120,
                true,
              )}
            </Field>
          </div>
          <fieldset className="comes-off">
            <legend>What comes off with it: its spaces with all that stands in them, and single things</legend>
            <div className="flags">
              {vehicle.bays.map((b) => (
                <span key={b.id}>{note('bays', b.id, b.name)}</span>
              ))}
              {items.map((i) => (
                <span key={i.id}>{note('items', i.id, i.name)}</span>
              ))}
            </div>
          </fieldset>
          <ThingTable
            label="Legs"
            what="Leg"
            things={carrier.legs}
            empty="No legs yet: with three or more it is told what each carries, and whether it tips."
            onRename={(l, name) =>
              own(`Name of ${l.name}`, (c) => on(c.legs, l.id, (x) => (x.name = name)), `leg ${l.id}`)
            }
            onRemove={(l) => own(`Remove ${l.name}`, (c) => drop(c.legs, l.id))}
            columns={[
              {
                head: `Carries ${unit('mass')}`,
                title: 'Its rating; empty is not stated',
                cell: (l) =>
                  input(
                    `Rating of ${l.name}`,
                    l.rating,
                    'mass',
                    (v, kg) => v.carrier && on(v.carrier.legs, l.id, (x) => (x.rating = kg)),
                    true,
                  ),
              },
              ...placeColumns((v) => v.carrier?.legs ?? []),
            ]}
          />
        </>
      )}
    </Panel>
  );
}
