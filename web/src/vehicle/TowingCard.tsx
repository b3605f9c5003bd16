import type { Trailer } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { massSources, useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

const noTrailer: Trailer = {
  name: 'Trailer',
  coupled: true,
  mass: 0,
  ball: 0,
  braked: true,
  source: 'data-sheet',
  ballToAxle: 0,
  distribution: 0,
};

/** Hitch and trailer. */
export function TowingCard() {
  const { job, vehicle, session, line } = useVehicleEdit();
  const vocabulary = useVocabulary();
  const t = job.trailer;
  const change = (label: string, set: (trailer: Trailer) => void, key?: string) =>
    session.edit(
      label,
      (j) => {
        if (j.trailer) set(j.trailer);
      },
      key,
    );
  return (
    <Panel title="Hitch and trailer" className="wide">
      <div className="form form-wide">
        {line('Ball behind the rear axle', vehicle.hitch.overhang, 'length', (v, mm) => (v.hitch.overhang = mm))}
        {line('Height of the ball', vehicle.hitch.height, 'length', (v, mm) => (v.hitch.height = mm))}
        {line(
          `Most ${vocabulary(job.region, 'ball').word} of the hitch`,
          vehicle.hitch.ball,
          'mass',
          (v, kg) => (v.hitch.ball = kg),
          'From the hitch’s own plate',
          true,
        )}
        {line(
          'Most trailer of the hitch',
          vehicle.hitch.trailer,
          'mass',
          (v, kg) => (v.hitch.trailer = kg),
          undefined,
          true,
        )}
        <label className="switch-line">
          <input
            type="checkbox"
            role="switch"
            className="form-check-input"
            checked={t !== undefined}
            onChange={(event) =>
              session.edit(event.target.checked ? 'Add trailer' : 'Remove trailer', (j) => {
                if (event.target.checked) j.trailer = { ...noTrailer };
                else delete j.trailer;
              })
            }
          />
          It tows
        </label>
        {t && (
          <>
            <Field label="Trailer">
              <TextField
                label="Trailer"
                value={t.name}
                maxLength={200}
                onCommit={(name) => change('Trailer name', (x) => (x.name = name), 'trailer name')}
              />
            </Field>
            <label className="switch-line">
              <input
                type="checkbox"
                role="switch"
                className="form-check-input"
                checked={t.coupled}
                onChange={(event) => change('Trailer coupled', (x) => (x.coupled = event.target.checked))}
              />
              Coupled in the state shown
            </label>
            <label className="switch-line">
              <input
                type="checkbox"
                role="switch"
                className="form-check-input"
                checked={t.braked}
                onChange={(event) => change('Trailer braked', (x) => (x.braked = event.target.checked))}
              />
              Braked
            </label>
            {line(
              'Loaded mass, uncoupled',
              t.mass,
              'mass',
              (_, kg, j) => j.trailer && (j.trailer.mass = kg),
              vocabulary(job.region, 'trailer').word,
            )}
            {line(
              'Download on the ball',
              t.ball,
              'mass',
              (_, kg, j) => j.trailer && (j.trailer.ball = kg),
              vocabulary(job.region, 'ball').word,
            )}
            <Field label="Both come from">
              <SelectField
                label="Mass and ball come from"
                value={t.source}
                options={massSources}
                onCommit={(source) => change('Source of the trailer', (x) => (x.source = source))}
              />
            </Field>
            {line(
              'Ball to trailer axle',
              t.ballToAxle,
              'length',
              (_, mm, j) => j.trailer && (j.trailer.ballToAxle = mm),
              'For a weight-distributing hitch',
            )}
            {line(
              'Distribution moment, kg·mm',
              t.distribution,
              'plain',
              (_, c, j) => j.trailer && (j.trailer.distribution = c),
              '0 without such a hitch',
            )}
          </>
        )}
      </div>
    </Panel>
  );
}
