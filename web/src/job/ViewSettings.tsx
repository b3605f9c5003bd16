import Dropdown from 'react-bootstrap/Dropdown';
import { Link } from 'react-router';

import { Field } from '../components/Field';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { useSession, useSnapshot } from '../document/SessionContext';
import { setTheme, useTheme } from '../styles/theme';
import { tableStyles, useTableStyle } from './tableStyle';
import { datums, regions, unitSystems } from '../words/words';

/** Units, words and datum of the job, and light or dark for this browser. */
export function ViewSettings() {
  const session = useSession();
  const { job } = useSnapshot();
  const theme = useTheme();
  const [tables, setTables] = useTableStyle();
  return (
    <Dropdown align="end" autoClose="outside">
      <Dropdown.Toggle size="sm" variant="outline-secondary" id="view-settings">
        {job.units === 'us' ? 'in, lb, gal' : 'mm, kg, L'}
      </Dropdown.Toggle>
      <Dropdown.Menu className="settings form" aria-label="Units and words">
        <Field label="Units">
          <SelectField
            label="Units"
            value={job.units}
            options={unitSystems}
            onCommit={(units) => session.edit('Units', (j) => (j.units = units))}
          />
        </Field>
        <Field label="Words of">
          <SelectField
            label="Words of"
            value={job.region}
            options={regions}
            onCommit={(region) => session.edit('Words', (j) => (j.region = region))}
          />
        </Field>
        <Field label="Stations from">
          <SelectField
            label="Stations from"
            value={job.datum}
            options={datums}
            onCommit={(datum) => session.edit('Datum', (j) => (j.datum = datum))}
          />
        </Field>
        <Field label="Note">
          <TextField
            label="Note on this job"
            value={job.note}
            maxLength={4000}
            onCommit={(note) => session.edit('Note', (j) => (j.note = note), 'job note')}
          />
        </Field>
        <Field label="Earlier">
          <Link to={`/jobs/${job.id}/revisions`} className="btn btn-sm btn-outline-secondary">
            Revisions
          </Link>
        </Field>
        <Field label="CSV files">
          <SelectField label="CSV files" value={tables} options={tableStyles} onCommit={setTables} />
        </Field>
        <Field label="Screen">
          <SelectField
            label="Screen"
            value={theme}
            options={[
              { value: 'light', label: 'Day' },
              { value: 'dark', label: 'Night in the bay' },
            ]}
            onCommit={setTheme}
          />
        </Field>
      </Dropdown.Menu>
    </Dropdown>
  );
}
