import { Link } from 'react-router';

import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { datums, labelOf } from '../words/words';

/** The worst states that have an account of their own; the others are told in words only. */
const accounted = ['front', 'rear', 'gross', 'combination'];

/** Figures behind the pads: centre of gravity, corners, stability, grade, and the exact worst states. */
export function FiguresPanel() {
  const { job, assessment: a } = useSnapshot();
  if (!a) return <p aria-busy="true" />;
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const length = (mm: number) => formatQuantity(mm, 'length', job.units);
  const origin = a.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const account = (id: string, state = '') => `/jobs/${job.id}/load/account${state}#${id}`;
  const rows: [label: string, value: string, account: string, title?: string][] = [
    [
      'Dry vehicle, front / rear',
      `${mass(a.dry.front)} / ${mass(a.dry.rear)}`,
      'rear',
      'The baseline with fuel, people and all else of its definition taken off',
    ],
    [
      'Empty as it stands now',
      `${mass(a.unladen.front)} / ${mass(a.unladen.rear)}`,
      'rear',
      'Dry, with its parts removed, moved or added',
    ],
    [`Centre of gravity from the ${labelOf(datums, job.datum)}`, length(a.centre.x - origin), 'centre'],
    ['Centre of gravity, side', `${length(Math.abs(a.centre.y))} ${a.centre.y < 0 ? 'left' : 'right'}`, 'centre'],
    ['Centre of gravity, height', length(a.centre.z), 'centre'],
    [
      'Front wheels, left / right',
      `${mass(a.corners.frontLeft)} / ${mass(a.corners.frontRight)}`,
      'sides',
      'Estimate: the real split depends on roll stiffness',
    ],
    [
      'Rear wheels, left / right',
      `${mass(a.corners.rearLeft)} / ${mass(a.corners.rearRight)}`,
      'sides',
      'Estimate: the real split depends on roll stiffness',
    ],
    [
      'Side tip angle lost by the load',
      `${a.stability.loss.toFixed(1)}° of ${a.stability.unladenTip.toFixed(1)}°`,
      'tip',
      `Rigid-body upper bound, static stability factor ${a.stability.ssf.toFixed(3)}; the unladen height is ${a.stability.heightKnown ? 'known' : 'assumed'}`,
    ],
    [
      `Nose up ${a.grade.degrees}°, front / rear`,
      `${mass(a.grade.axles.front)} / ${mass(a.grade.axles.rear)}`,
      'grade',
      'On the road, for grip and braking feel; never compared with a rating',
    ],
  ];
  if (a.weigh.calibrated !== '')
    rows.push([
      'The plan goes by a scale',
      a.weigh.calibrated,
      'rear',
      'Under Weigh-in, On the scale, it can be taken off again',
    ]);
  if (a.trailer)
    rows.push(
      ['Trailer axle, coupled', mass(a.trailer.axle), 'combination'],
      ['Ball share of the trailer', `${a.trailer.ballShare.toFixed(1)} %`, 'ball'],
    );
  return (
    <div data-panel="figures">
      <table className="figures">
        <tbody>
          {rows.map(([label, value, id, title]) => (
            <tr key={label} title={title}>
              <th scope="row">{label}</th>
              <td className="figure">
                <Link to={account(id)} title="Where this comes from">
                  {value}
                </Link>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>Exact worst states</h3>
      <dl className="worst">
        {a.worst.map((w) => (
          <div key={w.figure}>
            <dt>
              {w.title}{' '}
              <Link
                className="figure"
                to={account(w.figure, accounted.includes(w.figure) ? `?state=worst:${w.figure}` : '')}
                title="Where this comes from"
              >
                {mass(w.load)}
              </Link>
            </dt>
            <dd>{w.state}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
