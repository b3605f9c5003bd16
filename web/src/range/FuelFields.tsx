import type { RouteStop } from '../api/types';
import { QuantityField } from '../components/QuantityField';
import { LITRES_PER_GAL } from '../quantity/units';
import { useRange } from './useRange';

/** Which fuels a stop has, each with its price of a litre, or of a gallon. */
export function FuelFields({ stop }: { stop: RouteStop }) {
  const { job, edit } = useRange();
  const us = job.units === 'us';
  const per = us ? LITRES_PER_GAL : 1;
  const each = `${job.brief.currency} a ${us ? 'gallon' : 'litre'}`.trim();
  const set = (label: string, change: (s: RouteStop) => void) =>
    edit(label, (r) => {
      for (const s of r.stops) if (s.id === stop.id) change(s);
    });
  return (
    <>
      {(['diesel', 'petrol'] as const).map((fuel) => {
        const had = stop.fuels.find((f) => f.fuel === fuel);
        const word = fuel === 'petrol' && job.region === 'na' ? 'Gasoline' : fuel === 'petrol' ? 'Petrol' : 'Diesel';
        return (
          <span key={fuel} className="stop-fuel">
            <label className="stop-has">
              <input
                type="checkbox"
                className="form-check-input"
                aria-label={`${word} at ${stop.name}`}
                checked={had !== undefined}
                onChange={(event) =>
                  set(`${word} at ${stop.name}`, (s) => {
                    s.fuels = s.fuels.filter((f) => f.fuel !== fuel);
                    if (event.target.checked) s.fuels.push({ fuel, price: 0 });
                  })
                }
              />
              {word}
            </label>
            {had && (
              <QuantityField
                bare
                label={`Price of ${word.toLowerCase()} at ${stop.name}, ${each}`}
                title={`${each}; empty: not known`}
                value={Math.round((had.price / 10000) * per * 1000) / 1000}
                kind="plain"
                system={job.units}
                emptyForZero
                onCommit={(price) =>
                  set(`Price at ${stop.name}`, (s) => {
                    for (const f of s.fuels) if (f.fuel === fuel) f.price = Math.round((price / per) * 10000);
                  })
                }
              />
            )}
          </span>
        );
      })}
    </>
  );
}
