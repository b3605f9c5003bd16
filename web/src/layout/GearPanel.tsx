import { useState } from 'react';

import type { Gear, Job } from '../api/types';
import { chosenVariant, useSession } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { plainItem } from '../load/itemEdits';
import type { Bench } from './useBench';
import { useBenchEdit } from './useBenchEdit';

/** Puts a thing of the brief on the bench, ahead of the load space. */
function bring(job: Job, gear: Gear): void {
  const { outline } = job.vehicle;
  chosenVariant(job).items.push({
    ...plainItem(gear.id, gear.count > 1 ? `${gear.count} × ${gear.name}` : gear.name, 'Gear'),
    mass: gear.count * gear.mass,
    size: { ...gear.size },
    substance: gear.substance,
    at: { x: outline.headboard + gear.size.length / 2, y: 0, z: outline.floorHeight + gear.size.height / 2 },
  });
}

/** What must come along, and where it lies. */
export function GearPanel({ bench }: { bench: Bench }) {
  const session = useSession();
  const { job, all } = bench;
  const [trouble, setTrouble] = useState('');
  const derive = useBenchEdit(setTrouble);
  const { gear } = job.brief;
  if (gear.length === 0)
    return (
      <p className="empty">The brief lists no gear yet. What must come along is written down under Brief, Gear.</p>
    );
  return (
    <div data-panel="gear">
      {trouble !== '' && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <ul className="components" aria-label="Gear of the brief">
        {gear.map((g) => {
          const part = all.find((p) => p.item.id === g.id);
          const holder = part?.item.in && all.find((p) => p.item.id === part.item.in?.module)?.item.name;
          return (
            <li key={g.id} className="gear-line" data-gear={g.id}>
              <button
                type="button"
                className="link"
                disabled={!part}
                onClick={() => part && bench.setSelected([part.item.id])}
              >
                {g.name}
              </button>
              <small className="hint">
                {formatQuantity(g.count * g.mass, 'mass', job.units)},{' '}
                {holder ? `in ${holder}` : part ? 'stands free' : 'not aboard'}
              </small>
              {!part && (
                <button
                  type="button"
                  className="chip"
                  aria-label={`Bring ${g.name} aboard`}
                  onClick={() => session.edit(`Bring ${g.name} aboard`, (j) => bring(j, g))}
                >
                  Aboard
                </button>
              )}
              {part && !part.item.in && !part.item.module?.cells.length && (
                <button
                  type="button"
                  className="chip"
                  aria-label={`Put ${g.name} away`}
                  onClick={() => void derive('put-away', `Put ${g.name} away`, g.id)}
                >
                  Put away
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
