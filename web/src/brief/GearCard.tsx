import { useState } from 'react';

import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import type { Gear } from '../api/types';
import { used } from '../words/brief';
import { substances } from '../words/layout';
import { useBriefEdit } from './useBriefEdit';

const needs: { key: 'dry' | 'cool' | 'locked' | 'hidden' | 'upright' | 'away'; head: string; title: string }[] = [
  { key: 'dry', head: 'Dry', title: 'Needs a dry place' },
  { key: 'cool', head: 'Cool', title: 'Needs cooling' },
  { key: 'locked', head: 'Lock', title: 'Needs a lock' },
  { key: 'hidden', head: 'Hide', title: 'Out of sight' },
  { key: 'upright', head: 'Stand', title: 'Stands upright only' },
  { key: 'away', head: 'Apart', title: 'Away from people' },
];

/** What must come along. */
export function GearCard() {
  const { brief, edit, input, box, unit } = useBriefEdit();
  const [noting, setNoting] = useState<string>();
  const set = (id: string, change: (gear: Gear) => void) => (b: { gear: Gear[] }) => on(b.gear, id, change);
  const side = (key: 'length' | 'width' | 'height', word: string) => (g: Gear) =>
    input(`${word} of ${g.name}`, g.size[key], 'length', (b, mm) => set(g.id, (x) => (x.size[key] = mm))(b), true);
  const add = () =>
    edit('Add gear', (b) => {
      b.gear.push({
        id: newId(b.gear, 'gear'),
        name: 'New thing',
        count: 1,
        mass: 0,
        size: { length: 0, width: 0, height: 0 },
        used: 'daily',
        dry: false,
        cool: false,
        locked: false,
        hidden: false,
        upright: false,
        away: false,
        substance: '',
        watts: 0,
        hours: 0,
        mains: false,
        note: '',
      });
    });
  return (
    <Panel
      title="Gear that must come"
      className="wide"
      note="Mass and size of one, packed"
      actions={<AddButton label="Add gear" onClick={add} />}
    >
      <ThingTable
        label="Gear"
        what="Thing"
        className="gear-table"
        things={brief.gear}
        empty="Nothing yet. Write down what must come along; what is not on the list has no place later."
        onRename={(g, name) =>
          edit(
            `Name of ${g.name}`,
            set(g.id, (x) => (x.name = name)),
            `gear ${g.id}`,
          )
        }
        onRemove={(g) => edit(`Remove ${g.name}`, (b) => drop(b.gear, g.id))}
        below={(g) =>
          (g.note !== '' || g.watts > 0 || g.substance !== '' || noting === g.id) && (
            <tr className="gear-note">
              <td colSpan={5}>
                <span className="gear-plug">
                  <span className="hint">Plug</span>
                  {input(
                    `Watts of the plug of ${g.name}`,
                    g.watts,
                    'power',
                    (b, w) => set(g.id, (x) => (x.watts = w))(b),
                    true,
                  )}
                  <span>W,</span>
                  {input(
                    `Hours a day of ${g.name}`,
                    g.hours,
                    'time',
                    (b, h) => set(g.id, (x) => (x.hours = h))(b),
                    true,
                  )}
                  <span>h a day</span>
                  {box(`${g.name} wants mains`, g.mains, (b, yes) => set(g.id, (x) => (x.mains = yes))(b))}
                  <span>mains</span>
                </span>
              </td>
              <td colSpan={2}>
                <span className="gear-plug">
                  <span className="hint">Holds</span>
                  <SelectField
                    label={`What ${g.name} holds`}
                    value={g.substance}
                    options={substances}
                    onCommit={(value) =>
                      edit(
                        `What ${g.name} holds`,
                        set(g.id, (x) => (x.substance = value)),
                      )
                    }
                  />
                </span>
              </td>
              <td colSpan={7}>
                <TextField
                  label={`Note on ${g.name}`}
                  placeholder="Note"
                  value={g.note}
                  maxLength={1000}
                  onCommit={(note) =>
                    edit(
                      `Note on ${g.name}`,
                      set(g.id, (x) => (x.note = note)),
                      `gear note ${g.id}`,
                    )
                  }
                />
              </td>
            </tr>
          )
        }
        columns={[
          {
            head: 'No.',
            cell: (g) => input(`Count of ${g.name}`, g.count, 'plain', (b, n) => set(g.id, (x) => (x.count = n))(b)),
          },
          {
            head: unit('mass'),
            title: 'Mass of one',
            cell: (g) =>
              input(`Mass of ${g.name}`, g.mass, 'mass', (b, kg) => set(g.id, (x) => (x.mass = kg))(b), true),
          },
          { head: `Long ${unit('length')}`, cell: side('length', 'Length') },
          { head: `Wide`, cell: side('width', 'Width') },
          { head: `High`, cell: side('height', 'Height') },
          {
            head: 'Used',
            words: true,
            cell: (g) => (
              <SelectField
                label={`Use of ${g.name}`}
                value={g.used}
                options={used}
                onCommit={(value) =>
                  edit(
                    `Use of ${g.name}`,
                    set(g.id, (x) => (x.used = value)),
                  )
                }
              />
            ),
          },
          ...needs.map(({ key, head, title }) => ({
            head,
            title,
            centred: true,
            cell: (g: Gear) =>
              box(`${g.name}: ${title.toLowerCase()}`, g[key], (b, yes) => set(g.id, (x) => (x[key] = yes))(b)),
          })),
          {
            head: <span className="visually-hidden">Note</span>,
            centred: true,
            cell: (g) =>
              g.note === '' &&
              g.watts === 0 && (
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`Add a note or a plug on ${g.name}`}
                  title="Add a note, or what its plug draws"
                  onClick={() => setNoting(g.id)}
                >
                  <i className="bi bi-pencil" aria-hidden />
                </button>
              ),
          },
        ]}
      />
    </Panel>
  );
}
