import type { WeighInView } from '../api/types';
import { useWeigh } from './useWeigh';

export const readingNames: Record<string, string> = {
  'front-left': 'Front left',
  'front-right': 'Front right',
  'rear-left': 'Rear left',
  'rear-right': 'Rear right',
  front: 'Front axle',
  rear: 'Rear axle',
  gross: 'The whole',
};

/** The load of each axle as planned, and as it would be believed: bands of two standard uncertainties. */
export function Bands({ look }: { look: WeighInView }) {
  const { say } = useWeigh();
  const WIDTH = 300;
  return (
    <div className="weigh-bands">
      {look.axles.map((a) => {
        const low = Math.min(a.planned - 2 * a.sigma, a.after - 2 * a.then);
        const high = Math.max(a.planned + 2 * a.sigma, a.after + 2 * a.then);
        const x = (kg: number) => 4 + ((kg - low) / Math.max(high - low, 1)) * (WIDTH - 8);
        return (
          <figure key={a.name} data-band={a.name}>
            <figcaption className="figure">
              {readingNames[a.name]}: {say(a.planned)} ± {say(2 * a.sigma)} → <b>{say(a.after)}</b> ± {say(2 * a.then)}
            </figcaption>
            <svg viewBox={`0 0 ${WIDTH} 20`} role="img" aria-label={`${readingNames[a.name]}: band before and after`}>
              <rect
                className="band-before"
                x={x(a.planned - 2 * a.sigma)}
                y={2}
                width={x(a.planned + 2 * a.sigma) - x(a.planned - 2 * a.sigma)}
                height={6}
              />
              <rect
                className="band-after"
                x={x(a.after - 2 * a.then)}
                y={11}
                width={Math.max(2, x(a.after + 2 * a.then) - x(a.after - 2 * a.then))}
                height={6}
              />
            </svg>
          </figure>
        );
      })}
    </div>
  );
}
