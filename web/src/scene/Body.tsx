import type { Assessment, Job } from '../api/types';
import { drawX, drawY, type Window } from './geometry';

/** Outlines of cab, bonnet and load space, wheels and hitch, drawn from the vehicle's numbers. */
export function Body({ job, assessment, window: w }: { job: Job; assessment: Assessment; window: Window }) {
  const { outline: o, hitch, tyreRadius } = job.vehicle;
  const rearEnd = assessment.wheelbase + o.rearOverhang;
  const path = (points: [number, number][], closed = true) =>
    points.map(([x, z], i) => `${i === 0 ? 'M' : 'L'}${drawX(w, x).toFixed(1)} ${drawY(w, z).toFixed(1)}`).join('') +
    (closed ? 'Z' : '');
  const rake = (o.height - o.bonnetHeight) * 0.75;
  const roofEnd = o.body === 'wagon' ? Math.max(rearEnd - 60, o.cabRear) : o.cabRear;
  const cab: [number, number][] = [
    [-o.frontOverhang, o.sillHeight],
    [-o.frontOverhang - 20, o.bonnetHeight * 0.72],
    [-o.frontOverhang + 130, o.bonnetHeight * 0.95],
    [o.cabFront, o.bonnetHeight],
    [o.cabFront + rake, o.height],
    [roofEnd - 140, o.height],
    [roofEnd, o.bonnetHeight],
    [roofEnd, o.sillHeight],
  ];
  const glass: [number, number][] = [
    [o.cabFront + 70, o.bonnetHeight + 10],
    [o.cabFront + rake + 20, o.height - 80],
    [roofEnd - 190, o.height - 80],
    [roofEnd - 70, o.bonnetHeight + 10],
  ];
  const bedHeight = o.body === 'tub' ? 480 : 0;
  return (
    <g className="vehicle" aria-hidden>
      <path d={path(cab)} className="shell" />
      <path d={path(glass)} className="glass" />
      {o.body !== 'wagon' && (
        <>
          <path
            d={path([
              [o.headboard, o.floorHeight - 110],
              [o.headboard, o.floorHeight + bedHeight],
              [rearEnd, o.floorHeight + bedHeight],
              [rearEnd, o.floorHeight - 110],
            ])}
            className="shell"
          />
          <path
            d={path(
              [
                [o.cabRear - 200, o.sillHeight + 60],
                [rearEnd - 60, o.sillHeight + 60],
              ],
              false,
            )}
            className="frame"
          />
        </>
      )}
      <path
        d={path(
          [
            [o.headboard, o.floorHeight],
            [rearEnd, o.floorHeight],
          ],
          false,
        )}
        className="floor"
      />
      {o.body === 'tray' && (
        <path
          d={path(
            [
              [o.headboard, o.floorHeight],
              [o.headboard, o.height - 60],
            ],
            false,
          )}
          className="frame"
        />
      )}
      {[0, assessment.wheelbase].map((x) => (
        <g key={x}>
          <circle cx={drawX(w, x)} cy={drawY(w, tyreRadius)} r={tyreRadius / w.scale} className="tyre" />
          <circle cx={drawX(w, x)} cy={drawY(w, tyreRadius)} r={(tyreRadius * 0.55) / w.scale} className="rim" />
        </g>
      ))}
      {job.trailer && (
        <g className={job.trailer.coupled ? 'coupled' : 'uncoupled'}>
          <path
            d={path(
              [
                [rearEnd - 200, hitch.height],
                [assessment.wheelbase + hitch.overhang, hitch.height],
              ],
              false,
            )}
            className="frame"
          />
          <circle
            cx={drawX(w, assessment.wheelbase + hitch.overhang)}
            cy={drawY(w, hitch.height)}
            r={4}
            className="ball"
          />
          {job.trailer.coupled && (
            <path
              d={path(
                [
                  [assessment.wheelbase + hitch.overhang, hitch.height],
                  [assessment.wheelbase + hitch.overhang + 480, hitch.height + 20],
                ],
                false,
              )}
              className="drawbar"
            />
          )}
        </g>
      )}
    </g>
  );
}
