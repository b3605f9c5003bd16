import type { Limits, Rating } from '../api/types';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { formatQuantity } from '../quantity/format';
import { capital, limitSources, useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

const limits: { key: keyof Limits; term?: string; label?: string; what: string }[] = [
  { key: 'gross', term: 'gross', what: 'Most the vehicle may weigh loaded' },
  { key: 'frontAxle', term: 'frontAxle', what: 'Most on the front axle' },
  { key: 'rearAxle', term: 'rearAxle', what: 'Most on the rear axle' },
  { key: 'combination', term: 'combination', what: 'Most vehicle plus trailer' },
  { key: 'ball', term: 'ball', what: 'Most on the ball' },
  { key: 'trailerBraked', label: 'Braked trailer', what: 'Most it may tow with brakes' },
  { key: 'trailerUnbraked', label: 'Unbraked trailer', what: 'Most it may tow without brakes' },
  { key: 'placard', term: 'placard', what: 'Most of people and cargo together, where a placard states it' },
  { key: 'roofMoving', label: 'Roof, moving', what: 'Most on the roof while driving' },
  { key: 'roofParked', label: 'Roof, parked', what: 'Most on the roof while parked, with those who sleep there' },
];

/** What the vehicle may weigh, where each figure was read, and which of all ratings binds. */
export function PlateCard() {
  const { job, vehicle, assessment, edit, input, unit } = useVehicleEdit();
  const vocabulary = useVocabulary();
  return (
    <Panel title="Plate and papers" note="Empty means not stated" className="wide">
      <table className="sheet-table limits-table" aria-label="Limits">
        <thead>
          <tr>
            <th scope="col">Limit</th>
            <th scope="col" className="over-figures">
              Figure {unit('mass')}
            </th>
            <th scope="col">Read from</th>
            <th scope="col" className="col-wide">
              What binds
            </th>
          </tr>
        </thead>
        <tbody>
          {limits.map(({ key, term, label, what }) => {
            const { word, others } = term ? vocabulary(job.region, term) : { word: label ?? key, others: what };
            return (
              <tr key={key} data-thing={key}>
                <th scope="row" title={`${what}. ${others}`}>
                  {capital(word)}
                </th>
                <td>
                  {input(`Limit: ${word}`, vehicle.limits[key].kg, 'mass', (v, kg) => (v.limits[key].kg = kg), true)}
                </td>
                <td>
                  <SelectField
                    label={`Source: ${word}`}
                    value={vehicle.limits[key].source}
                    options={limitSources}
                    onCommit={(source) => edit(`Source of ${word}`, (v) => (v.limits[key].source = source))}
                  />
                </td>
                <td className="bounds">
                  <Bounds rating={assessment?.ratings.find((r) => r.limit === key)} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Panel>
  );
}

const kinds: Record<Rating['bounds'][number]['kind'], string> = {
  plate: 'Plate',
  upgrade: 'Upgrade',
  tyres: 'Tyres',
  hitch: 'Hitch',
  rack: 'Rack',
  modification: 'Modification',
};

/** Every rating that bears on a limit; the one that binds stands first and is marked. */
function Bounds({ rating }: { rating: Rating | undefined }) {
  const { job } = useVehicleEdit();
  const vocabulary = useVocabulary();
  if (!rating || rating.bounds.length === 0) return <span className="hint">nothing known</span>;
  const ordered = [...rating.bounds].sort((a, b) => Number(b.binds) - Number(a.binds));
  const name = (b: Rating['bounds'][number]) =>
    b.name || (b.kind === 'tyres' ? capital(`${vocabulary(job.region, 'tyre').word}s`) : kinds[b.kind]);
  return (
    <ul>
      {ordered.map((b, i) => (
        <li
          key={i}
          className={b.binds ? 'binds' : b.void === '' ? '' : 'void'}
          title={
            b.void === 'replaced'
              ? 'Replaced by an upgrade'
              : b.void === 'raises-nothing'
                ? 'Springs and airbags raise no rating'
                : undefined
          }
        >
          {b.binds && (
            <>
              <i className="bi bi-lock-fill" aria-hidden /> <span className="visually-hidden">binds: </span>
            </>
          )}
          {name(b)} <span className="figure">{formatQuantity(b.kg, 'mass', job.units)}</span>
          {b.void === 'raises-nothing' && ' (raises nothing)'}
        </li>
      ))}
    </ul>
  );
}
