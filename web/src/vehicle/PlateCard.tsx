import type { Limits } from '../api/types';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { limitSources, useVocabulary } from '../words/words';
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
];

/** What the vehicle may weigh, and where each figure was read. */
export function PlateCard() {
  const { job, vehicle, edit, input, unit } = useVehicleEdit();
  const vocabulary = useVocabulary();
  return (
    <Panel title="Plate" note="Empty means not stated">
      <table className="sheet-table">
        <thead>
          <tr>
            <th scope="col">Limit</th>
            <th scope="col">Figure {unit('mass')}</th>
            <th scope="col">Read from</th>
          </tr>
        </thead>
        <tbody>
          {limits.map(({ key, term, label, what }) => {
            const { word, others } = term ? vocabulary(job.region, term) : { word: label ?? key, others: what };
            return (
              <tr key={key}>
                <th scope="row" title={`${what}. ${others}`}>
                  {word}
                </th>
                <td>{input(`Limit: ${word}`, vehicle.limits[key].kg, 'mass', (v, kg) => (v.limits[key].kg = kg), true)}</td>
                <td>
                  <SelectField label={`Source: ${word}`} value={vehicle.limits[key].source} options={limitSources} onCommit={(source) => edit(`Source of ${word}`, (v) => (v.limits[key].source = source))} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Panel>
  );
}
