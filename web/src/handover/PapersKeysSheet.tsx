import type { Handover } from '../api/types';
import { Field } from '../components/Field';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextArea } from '../components/TextArea';
import { ThingTable, type Column } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { paperKinds } from '../words/handover';
import { FileButton, PAPERS, PHOTOS } from './FileButton';
import { Pictures } from './Pictures';
import { useFiles, useHandover } from './useHandover';

type Paper = Handover['papers'][number];
type Locked = Handover['locks'][number];
type Warranty = Handover['warranties'][number];
type Interval = Handover['intervals'][number];

/** Certificates, keys, warranties, what is due again, and pictures of what was built. */
export function PapersKeysSheet() {
  const { view, handover, variant, edit, input, text, box } = useHandover();
  const files = useFiles();
  if (!view) return null;
  const parts = [
    { value: '', label: 'the whole' },
    ...variant.items.filter((i) => i.module).map((i) => ({ value: i.id, label: i.name })),
  ];
  const missing = view.papers.filter((w) => !w.have);
  const kindName = (kind: string) => paperKinds.find((k) => k.value === kind)?.label ?? kind;
  const paperText = (p: Paper, head: string, key: 'by' | 'licence' | 'number' | 'issued' | 'expires', most = 120) =>
    text(`${head} of ${p.name}`, p[key], (h, t) => on(h.papers, p.id, (x) => (x[key] = t)), most);
  const day = (head: string, key: 'issued' | 'expires'): Column<Paper> => ({
    head,
    title: 'as 2026-03-30',
    words: true,
    cell: (p) => paperText(p, head, key, 10),
  });
  return (
    <>
      <Panel
        title="Certificates and papers"
        className="wide"
        actions={
          <AddButton
            label="Add paper"
            onClick={() =>
              edit('Add paper', (h) => h.papers.push(paper(newId(h.papers, 'paper'), 'New paper', 'other')))
            }
          />
        }
      >
        {missing.length > 0 && (
          <ul className="wanted" aria-label="Papers that the plan asks for">
            {missing.map((w) => (
              <li key={w.kind}>
                <span>
                  <b>{kindName(w.kind)}</b>: {w.why}.
                </span>
                {handover.papers.some((p) => p.kind === w.kind) ? (
                  <span className="hint">on the list; its number, its file, or by whom and when is missing</span>
                ) : (
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-secondary"
                    onClick={() =>
                      edit(`Add ${kindName(w.kind)}`, (h) =>
                        h.papers.push({ ...paper(newId(h.papers, w.kind), kindName(w.kind), w.kind), needed: true }),
                      )
                    }
                  >
                    Put it on the list
                  </button>
                )}
              </li>
            ))}
          </ul>
        )}
        <ThingTable<Paper>
          label="Certificates and papers"
          what="Paper"
          className="papers-table"
          things={handover.papers}
          empty="No paper yet. Which ones are needed follows from what is planned, and from local rules."
          onRename={(p, name) => edit('Name', (h) => on(h.papers, p.id, (x) => (x.name = name)))}
          onRemove={(p) => edit(`Remove ${p.name}`, (h) => drop(h.papers, p.id))}
          below={(p) => (
            <tr className="paper-more">
              <td colSpan={7}>
                <span>By {paperText(p, 'By', 'by')}</span>
                <span>Licensed for {paperText(p, 'Licensed for', 'licence')}</span>
                <span>Number {paperText(p, 'Number', 'number')}</span>
              </td>
            </tr>
          )}
          columns={[
            {
              head: 'Kind',
              words: true,
              cell: (p) => (
                <SelectField
                  label={`Kind of ${p.name}`}
                  value={p.kind}
                  options={paperKinds}
                  onCommit={(k) => edit('Kind', (h) => on(h.papers, p.id, (x) => (x.kind = k)))}
                />
              ),
            },
            day('Issued', 'issued'),
            day('Expires', 'expires'),
            {
              head: 'Must',
              title: 'Not handed over without it',
              centred: true,
              cell: (p) => box(`${p.name} is needed`, p.needed, (h, v) => on(h.papers, p.id, (x) => (x.needed = v))),
            },
            {
              head: 'File',
              words: true,
              cell: (p) =>
                p.file !== '' ? (
                  <a href={files.address(p.file)}>open</a>
                ) : (
                  <FileButton
                    label="Attach"
                    accept={PAPERS}
                    onFile={(file) =>
                      void files.add(file, `paper/${p.id}`).then((id) => {
                        if (id !== undefined) edit('Attach', (h) => on(h.papers, p.id, (x) => (x.file = id)));
                      })
                    }
                  />
                ),
            },
          ]}
        />
      </Panel>
      <Panel
        title="Locks and keys"
        className="wide"
        actions={
          <AddButton
            label="Add lock"
            onClick={() =>
              edit('Add lock', (h) =>
                h.locks.push({
                  id: newId(h.locks, 'lock'),
                  name: 'New lock',
                  of: '',
                  number: '',
                  alike: '',
                  keys: 0,
                  holder: '',
                }),
              )
            }
          />
        }
      >
        <ThingTable<Locked>
          label="Locks and keys"
          what="Locks"
          things={handover.locks}
          empty="No lock is listed. Each with its key, which are keyed alike, and who holds one."
          onRename={(l, name) => edit('Name', (h) => on(h.locks, l.id, (x) => (x.name = name)))}
          onRemove={(l) => edit(`Remove ${l.name}`, (h) => drop(h.locks, l.id))}
          columns={[
            {
              head: 'Number',
              words: true,
              cell: (l) =>
                text(`Number of ${l.name}`, l.number, (h, t) => on(h.locks, l.id, (x) => (x.number = t)), 120),
            },
            {
              head: 'Keyed alike as',
              words: true,
              cell: (l) =>
                text(`${l.name} is keyed alike as`, l.alike, (h, t) => on(h.locks, l.id, (x) => (x.alike = t)), 60),
            },
            {
              head: 'Keys',
              cell: (l) =>
                input(`Keys of ${l.name}`, l.keys, 'plain', (h, v) => on(h.locks, l.id, (x) => (x.keys = v)), true),
            },
            {
              head: 'Who holds one',
              wide: true,
              words: true,
              cell: (l) =>
                text(`Who holds a key of ${l.name}`, l.holder, (h, t) => on(h.locks, l.id, (x) => (x.holder = t))),
            },
          ]}
        />
      </Panel>
      <Panel
        title="Due again"
        className="wide"
        note="By time, by way, or whichever comes first"
        actions={
          <AddButton
            label="Add interval"
            onClick={() =>
              edit('Add interval', (h) =>
                h.intervals.push({
                  id: newId(h.intervals, 'due'),
                  name: 'New check',
                  months: 12,
                  km: 0,
                  rough: false,
                  once: false,
                  lastOn: '',
                  lastKm: 0,
                }),
              )
            }
          />
        }
      >
        <ThingTable<Interval>
          label="Due again"
          what="What"
          className="named-wide"
          things={handover.intervals}
          onRename={(n, name) => edit('Name', (h) => on(h.intervals, n.id, (x) => (x.name = name)))}
          onRemove={(n) => edit(`Remove ${n.name}`, (h) => drop(h.intervals, n.id))}
          columns={[
            {
              head: 'Months',
              cell: (n) =>
                input(
                  `Months of ${n.name}`,
                  n.months,
                  'plain',
                  (h, v) => on(h.intervals, n.id, (x) => (x.months = v)),
                  true,
                ),
            },
            {
              head: 'After',
              cell: (n) =>
                input(`Way of ${n.name}`, n.km, 'distance', (h, v) => on(h.intervals, n.id, (x) => (x.km = v)), true),
            },
            {
              head: 'Rough',
              title: 'Only what is driven on rough roads counts',
              centred: true,
              cell: (n) =>
                box(`${n.name} by rough roads`, n.rough, (h, v) => on(h.intervals, n.id, (x) => (x.rough = v))),
            },
            {
              head: 'Once',
              centred: true,
              cell: (n) => box(`${n.name} once`, n.once, (h, v) => on(h.intervals, n.id, (x) => (x.once = v))),
            },
            {
              head: 'Done on',
              words: true,
              cell: (n) =>
                text(`${n.name} done on`, n.lastOn, (h, t) => on(h.intervals, n.id, (x) => (x.lastOn = t)), 10),
            },
            {
              head: 'At',
              cell: (n) =>
                input(
                  `${n.name} done at`,
                  n.lastKm,
                  'distance',
                  (h, v) => on(h.intervals, n.id, (x) => (x.lastKm = v)),
                  true,
                ),
            },
          ]}
        />
      </Panel>
      <Panel
        title="Warranties"
        className="wide"
        actions={
          <AddButton
            label="Add warranty"
            onClick={() =>
              edit('Add warranty', (h) =>
                h.warranties.push({
                  id: newId(h.warranties, 'warranty'),
                  name: 'New warranty',
                  of: '',
                  by: '',
                  until: '',
                  voids: '',
                }),
              )
            }
          />
        }
      >
        <ThingTable<Warranty>
          label="Warranties"
          what="Of what"
          things={handover.warranties}
          empty="No warranty is listed."
          onRename={(w, name) => edit('Name', (h) => on(h.warranties, w.id, (x) => (x.name = name)))}
          onRemove={(w) => edit(`Remove ${w.name}`, (h) => drop(h.warranties, w.id))}
          columns={[
            {
              head: 'Part',
              words: true,
              cell: (w) => (
                <SelectField
                  label={`Part of ${w.name}`}
                  value={w.of}
                  options={parts}
                  onCommit={(v) => edit('Part', (h) => on(h.warranties, w.id, (x) => (x.of = v)))}
                />
              ),
            },
            {
              head: 'By',
              words: true,
              cell: (w) =>
                text(`Who stands for ${w.name}`, w.by, (h, t) => on(h.warranties, w.id, (x) => (x.by = t)), 120),
            },
            {
              head: 'Until',
              words: true,
              cell: (w) => text(`${w.name} until`, w.until, (h, t) => on(h.warranties, w.id, (x) => (x.until = t)), 10),
            },
            {
              head: 'Void by',
              words: true,
              wide: true,
              cell: (w) =>
                text(`What voids ${w.name}`, w.voids, (h, t) => on(h.warranties, w.id, (x) => (x.voids = t)), 400),
            },
          ]}
        />
      </Panel>
      <Panel
        title="In the workshop's words"
        className="wide"
        note="What goes into the customer's pack beside what follows from the plan"
      >
        {(
          [
            ['care', 'Care', 'Washing, salt, what is greased and what never is'],
            ['cautions', 'Cautions', 'What this customer must know'],
            ['left', 'Left for later or for others', ''],
            ['contact', 'Whom to ask', ''],
          ] as const
        ).map(([key, label, hint]) => (
          <Field key={key} label={label} {...(hint ? { hint } : {})}>
            <TextArea
              label={label}
              value={handover[key]}
              maxLength={key === 'contact' ? 400 : 4000}
              rows={2}
              onCommit={(t) => edit(label, (h) => (h[key] = t), label)}
            />
          </Field>
        ))}
      </Panel>
      <Panel
        title="Pictures"
        className="wide"
        note="They go into the pack, upright and without the place where they were taken"
        actions={
          <FileButton label="Add a picture of the whole" accept={PHOTOS} onFile={(file) => void files.add(file, '')} />
        }
      >
        <Pictures />
      </Panel>
    </>
  );
}

const paper = (id: string, name: string, kind: Paper['kind']): Paper => ({
  id,
  name,
  kind,
  by: '',
  licence: '',
  number: '',
  issued: '',
  expires: '',
  of: '',
  file: '',
  needed: false,
});
