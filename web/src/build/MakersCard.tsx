import type { Build } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { skills } from '../words/build';
import { useBuild } from './useBuild';

type Maker = Build['makers'][number];

/** Who builds, and what each can do. */
export function MakersCard() {
  const { build, edit } = useBuild();
  return (
    <Panel
      title="Who builds"
      className="wide"
      actions={
        <AddButton
          label="Add person"
          onClick={() =>
            edit('Add person', (b) => b.makers.push({ id: newId(b.makers, 'maker'), name: 'New person', skill: 'all' }))
          }
        />
      }
    >
      <ThingTable<Maker>
        label="Who builds"
        what="Name"
        things={build.makers}
        empty="Nobody is named: one person is counted with."
        onRename={(m, name) => edit('Name', (b) => on(b.makers, m.id, (x) => (x.name = name)))}
        onRemove={(m) => edit(`Remove ${m.name}`, (b) => drop(b.makers, m.id))}
        columns={[
          {
            head: 'Can do',
            words: true,
            cell: (m) => (
              <SelectField
                label={`What ${m.name} can do`}
                value={m.skill}
                options={skills}
                onCommit={(v) => edit(`What ${m.name} can do`, (b) => on(b.makers, m.id, (x) => (x.skill = v)))}
              />
            ),
          },
        ]}
      />
    </Panel>
  );
}
