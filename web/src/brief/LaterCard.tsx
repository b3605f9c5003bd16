import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { laterBy } from '../words/brief';
import { useBriefEdit } from './useBriefEdit';

/** What is kept for later or fitted by another workshop. */
export function LaterCard() {
  const { brief, edit, input, unit } = useBriefEdit();
  return (
    <Panel
      title="Later, or by others"
      className="wide"
      note="Its mass and room are spoken for"
      actions={
        <AddButton
          label="Add later"
          onClick={() =>
            edit('Add later', (b) =>
              b.later.push({ id: newId(b.later, 'later'), name: 'New thing', mass: 0, by: 'later', note: '' }),
            )
          }
        />
      }
    >
      <ThingTable
        label="Later"
        what="Thing"
        things={brief.later}
        empty="Nothing is kept for later."
        onRename={(l, name) =>
          edit(`Name of ${l.name}`, (b) => on(b.later, l.id, (x) => (x.name = name)), `later ${l.id}`)
        }
        onRemove={(l) => edit(`Remove ${l.name}`, (b) => drop(b.later, l.id))}
        columns={[
          {
            head: `Mass ${unit('mass')}`,
            cell: (l) =>
              input(`Mass of ${l.name}`, l.mass, 'mass', (b, kg) => on(b.later, l.id, (x) => (x.mass = kg)), true),
          },
          {
            head: 'By',
            words: true,
            cell: (l) => (
              <SelectField
                label={`${l.name} by`}
                value={l.by}
                options={laterBy}
                onCommit={(by) => edit(`${l.name} by`, (b) => on(b.later, l.id, (x) => (x.by = by)))}
              />
            ),
          },
          {
            head: 'Note',
            wide: true,
            cell: (l) => (
              <TextField
                label={`Note on ${l.name}`}
                value={l.note}
                maxLength={1000}
                onCommit={(note) =>
                  edit(`Note on ${l.name}`, (b) => on(b.later, l.id, (x) => (x.note = note)), `later note ${l.id}`)
                }
              />
            ),
          },
        ]}
      />
    </Panel>
  );
}
