import type { RangeView } from '../api/types';
import { StateMark } from '../components/StateMark';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import type { PlaceOn } from './along';

/** The vehicle where the hand is: what is aboard, and what stands on each axle of how much. */
export function HandCard({ view, km, place }: { view: RangeView; km: number; place: PlaceOn | undefined }) {
  const session = useSession();
  const { job } = useSnapshot();
  if (!place) return null;
  // Where the hand stands on a stop, that is named here: one that was just tapped onto the line.
  const at = view.stops.findIndex((s) => Math.abs(s.km - km) < 0.06);
  const stop = job.route.stops.find((s) => s.id === view.route[at]?.id);
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const label = `The vehicle at ${formatQuantity(km, 'distance', job.units)}`;
  // Shown on the whole screen, pads and drawing, until it is kept or put back.
  const show = () =>
    void session.try(label, (now) => {
      const j = structuredClone(now);
      view.vessels.forEach((v, i) => {
        const litres = Math.round((place.levels[i] ?? 0) * 10) / 10;
        for (const tank of j.vehicle.tanks) if (tank.id === v.id) tank.now = Math.min(tank.capacity, litres);
        for (const item of chosenVariant(j).items)
          if (item.id === v.id && item.presence.level)
            item.presence.level.now = Math.min(item.presence.level.max, litres);
      });
      if (j.trailer) j.trailer.coupled = view.stops[Math.max(0, place.leg)]?.towing ?? j.trailer.coupled;
      return Promise.resolve(j);
    });
  return (
    <div className="hand-card" role="status" aria-label="At the hand">
      <b className="figure" data-hand>
        {formatQuantity(km, 'distance', job.units)}
      </b>
      {stop && (
        <TextField
          label="Name of the stop at the hand"
          value={stop.name}
          maxLength={120}
          required
          onCommit={(name) =>
            session.edit(
              'Name of a stop',
              (j) => {
                for (const s of j.route.stops) if (s.id === stop.id) s.name = name;
              },
              `stop ${stop.id}`,
            )
          }
        />
      )}
      <ul className="hand-loads">
        {view.limits.map((l) => {
          const load = place[l.id];
          const left = l.most - load;
          if (l.id === 'combination' && !view.stops[Math.max(0, place.leg)]?.towing) return null;
          return (
            <li key={l.id} data-hand-load={l.id}>
              {l.title} <b className="figure">{mass(load)}</b>
              <small className="figure">{left < 0 ? `${mass(-left)} over` : `${mass(left)} left`}</small>
              <StateMark state={left < -0.05 ? 'over' : left < job.practice.close * l.most ? 'close' : 'within'} />
            </li>
          );
        })}
      </ul>
      <ul className="hand-levels">
        {view.vessels.map((v, i) => (
          <li key={v.id}>
            {v.name} <b className="figure">{formatQuantity(place.levels[i] ?? 0, 'volume', job.units)}</b>
          </li>
        ))}
      </ul>
      <button type="button" className="chip" onClick={show}>
        Show the vehicle here
      </button>
    </div>
  );
}
