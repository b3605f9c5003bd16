import type { Job, LimitBand } from '../api/types';
import { Panel } from '../components/Panel';
import { formatQuantity } from '../quantity/format';
import { percent } from './percent';

/** How sure each load is, how likely it is over, and what to weigh next. */
export function ConfidenceList({ bands, job }: { bands: LimitBand[]; job: Job }) {
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  return (
    <Panel
      title="How sure"
      note="Each mass is as sure as where it comes from; the band is two standard deviations. A public weighbridge has the last word"
    >
      <div className="bands">
        {bands.map((b) => (
          <article key={b.id} className="band" data-band={b.id} aria-label={b.title}>
            <h3>{b.title}</h3>
            <p className="figure">
              {mass(b.load)} ± {mass(2 * b.sigma)}
            </p>
            <BandPicture band={b} />
            {b.limit > 0 && (
              <p>
                Over its limit of {mass(b.limit)} with a probability of <b data-figure="over">{percent(b.over)}</b> in
                the state shown
                {b.likeliest > b.over + 0.0005 && (
                  <>
                    , and of <b>{percent(b.likeliest)}</b> {b.state}
                  </>
                )}
                .
              </p>
            )}
            {b.next.length > 0 && (
              <>
                <h4>Weigh this next</h4>
                <ol>
                  {b.next.map((n) => (
                    <li key={n.id} data-weigh={n.id}>
                      {n.name}: the band becomes ± {mass(2 * n.after)}
                      {b.limit > 0 && <>, the probability {percent(n.over)}</>}
                    </li>
                  ))}
                </ol>
              </>
            )}
          </article>
        ))}
      </div>
    </Panel>
  );
}

/** The load as a band against its limit. */
function BandPicture({ band }: { band: LimitBand }) {
  const low = Math.min(band.load - 4 * band.sigma, band.limit > 0 ? band.limit - band.sigma : Infinity);
  const high = Math.max(band.load + 4 * band.sigma, band.limit > 0 ? band.limit + band.sigma : -Infinity);
  const at = (kg: number) => (200 * (kg - low)) / Math.max(1e-9, high - low);
  return (
    <svg className="band-picture" viewBox="0 0 200 22" preserveAspectRatio="none" aria-hidden>
      <rect
        x={at(band.load - 2 * band.sigma)}
        y={5}
        width={at(band.load + 2 * band.sigma) - at(band.load - 2 * band.sigma)}
        height={12}
        className="band-wide"
      />
      <rect
        x={at(band.load - band.sigma)}
        y={5}
        width={at(band.load + band.sigma) - at(band.load - band.sigma)}
        height={12}
        className="band-near"
      />
      <path d={`M${at(band.load)} 2v18`} className="band-load" />
      {band.limit > 0 && <path d={`M${at(band.limit)} 0v22`} className="band-limit" />}
    </svg>
  );
}
