import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { datums, labelOf } from '../words/words';

/** Figures behind the pads: centre of gravity, corners, stability, grade, and the exact worst states. */
export function FiguresPanel() {
  const { job, assessment: a } = useSnapshot();
  if (!a) return <p aria-busy="true" />;
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const length = (mm: number) => formatQuantity(mm, 'length', job.units);
  const origin = a.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const rows: [string, string, string?][] = [
    ['Dry vehicle, front / rear', `${mass(a.dry.front)} / ${mass(a.dry.rear)}`, 'The baseline with fuel, people and all else of its definition taken off'],
    ['Empty as it stands now', `${mass(a.unladen.front)} / ${mass(a.unladen.rear)}`, 'Dry, with its parts removed, moved or added'],
    [`Centre of gravity from the ${labelOf(datums, job.datum)}`, length(a.centre.x - origin)],
    ['Centre of gravity, side', `${length(Math.abs(a.centre.y))} ${a.centre.y < 0 ? 'left' : 'right'}`],
    ['Centre of gravity, height', length(a.centre.z)],
    ['Front wheels, left / right', `${mass(a.corners.frontLeft)} / ${mass(a.corners.frontRight)}`, 'Estimate: the real split depends on roll stiffness'],
    ['Rear wheels, left / right', `${mass(a.corners.rearLeft)} / ${mass(a.corners.rearRight)}`, 'Estimate: the real split depends on roll stiffness'],
    ['Side tip angle lost by the load', `${a.stability.loss.toFixed(1)}° of ${a.stability.unladenTip.toFixed(1)}°`, `Rigid-body upper bound, static stability factor ${a.stability.ssf.toFixed(3)}; the unladen height is ${a.stability.heightKnown ? 'known' : 'assumed'}`],
    [`Nose up ${a.grade.degrees}°, front / rear`, `${mass(a.grade.axles.front)} / ${mass(a.grade.axles.rear)}`, 'On the road, for grip and braking feel; never compared with a rating'],
  ];
  if (a.trailer) rows.push(['Trailer axle, coupled', mass(a.trailer.axle)], ['Ball share of the trailer', `${a.trailer.ballShare.toFixed(1)} %`]);
  return (
    <div data-panel="figures">
      <table className="figures">
        <tbody>
          {rows.map(([label, value, title]) => (
            <tr key={label} title={title}>
              <th scope="row">{label}</th>
              <td className="figure">{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>Exact worst states</h3>
      <dl className="worst">
        {a.worst.map((w) => (
          <div key={w.figure}>
            <dt>
              {w.title} <span className="figure">{mass(w.load)}</span>
            </dt>
            <dd>{w.state}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
