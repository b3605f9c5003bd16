import type { ReactNode } from 'react';

import type { Job, Variant, VariantFigures } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { TextArea } from '../components/TextArea';
import { TextField } from '../components/TextField';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';
import { percent } from '../load/percent';
import { VariantPicture } from './VariantPicture';

interface Props {
  figures: VariantFigures[];
  job: Job;
  onEdit: (label: string, id: string, change: (v: Variant) => void, key?: string) => void;
  onAdopt: (id: string, name: string) => void;
  onRemove: (id: string, name: string) => void;
}

/** Variants side by side, in pictures and numbers; what differs from the first is marked. */
export function Comparison({ figures, job, onEdit, onAdopt, onRemove }: Props) {
  const variants = figures.map((f) => job.variants.find((v) => v.id === f.id)).filter((v) => v !== undefined);
  const shown = figures.filter((f) => variants.some((v) => v.id === f.id));
  const first = shown[0];
  if (!first) return <p className="empty">No variant is chosen to be shown.</p>;
  const say = (value: number, kind: Kind) => formatQuantity(value, kind, job.units);
  const pads = first.pads.map((pad) => pad.id);
  const rows: { label: string; cell: (f: VariantFigures) => string }[] = [
    ...pads.map((id) => ({
      label: first.pads.find((p) => p.id === id)?.title ?? id,
      cell: (f: VariantFigures) => {
        const pad = f.pads.find((p) => p.id === id);
        if (!pad) return '–';
        return pad.limit > 0
          ? `${say(pad.load, 'mass')}, ${pad.left < 0 ? `${say(-pad.left, 'mass')} over` : `${say(pad.left, 'mass')} left`}`
          : say(pad.load, 'mass');
      },
    })),
    ...first.pads
      .filter((p) => p.limit > 0)
      .map(({ id, title }) => ({
        label: `${title}, how sure`,
        cell: (f: VariantFigures) => {
          const pad = f.pads.find((p) => p.id === id);
          return pad ? `± ${say(2 * pad.sigma, 'mass')}, over with ${percent(pad.over)}` : '–';
        },
      })),
    { label: 'Right less left', cell: (f) => say(f.sides, 'mass') },
    { label: 'Centre of gravity, height', cell: (f) => say(f.centre, 'length') },
    { label: 'Fitout without contents', cell: (f) => say(f.fitout, 'mass') },
    { label: 'Height of the top', cell: (f) => say(f.height, 'length') },
    { label: 'Room in drawers and boxes', cell: (f) => say(f.litres, 'volume') },
    {
      label: 'Bed',
      cell: (f) => (f.bed.length > 0 ? `${say(f.bed.length, 'length')} × ${say(f.bed.width, 'length')}` : '–'),
    },
    { label: 'Highest daily thing', cell: (f) => (f.highest > 0 ? say(f.highest, 'length') : '–') },
    { label: 'Steps to daily things', cell: (f) => String(f.steps) },
    {
      label: 'Nights without sun',
      cell: (f) => (f.nights === -2 ? '–' : f.nights < 0 ? 'no end' : String(f.nights)),
    },
    { label: 'Weakest battery', cell: (f) => f.weakest || '–' },
    { label: 'Fuel on the trip', cell: (f) => (f.fuel > 0 ? formatQuantity(f.fuel, 'volume', job.units) : '–') },
    {
      label: 'Nearest to a limit on the way',
      cell: (f) => (f.onTheWay > 0 ? `${(100 * f.onTheWay).toFixed(1)} %` : '–'),
    },
    { label: 'Parts with a price', cell: (f) => `${Math.round(f.bought / 100)} ${job.brief.currency}`.trim() },
    {
      label: 'Cost of the build, at least',
      cell: (f) => (f.cost > 0 ? `${Math.round(f.cost / 100)} ${job.brief.currency}`.trim() : '–'),
    },
    { label: 'Hours of work', cell: (f) => String(f.hours) },
    { label: 'Sheets, at least', cell: (f) => String(f.sheets) },
    { label: 'Price level, points', cell: (f) => Math.round(f.price).toString() },
    { label: 'Findings', cell: (f) => `${f.stops} stop, ${f.cautions} caution, ${f.notes} note` },
  ];
  const head = (label: string, cell: (f: VariantFigures, v: Variant) => ReactNode) => (
    <tr>
      <th scope="row">{label}</th>
      {shown.map((f) => {
        const v = variants.find((x) => x.id === f.id);
        return v ? <td key={f.id}>{cell(f, v)}</td> : null;
      })}
    </tr>
  );
  return (
    <table className="comparison" aria-label="Comparison of variants">
      <thead>
        <tr>
          <td />
          {variants.map((v) => (
            <th key={v.id} scope="col" data-variant={v.id}>
              <div className="variant-head">
                <TextField
                  label={`Name of variant ${v.name}`}
                  value={v.name}
                  maxLength={120}
                  required
                  onCommit={(name) => onEdit('Name of variant', v.id, (x) => (x.name = name), `variant ${v.id}`)}
                />
                {job.variants.length > 1 && (
                  <RemoveButton label={`Remove variant ${v.name}`} onClick={() => onRemove(v.id, v.name)} />
                )}
              </div>
              {v.id === job.chosen ? (
                <span className="adopted">
                  <i className="bi bi-check-lg" aria-hidden /> Adopted: shown everywhere
                </span>
              ) : (
                <button
                  type="button"
                  className="btn btn-sm btn-primary"
                  aria-label={`Adopt ${v.name}`}
                  onClick={() => onAdopt(v.id, v.name)}
                >
                  Adopt
                </button>
              )}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {head('Pictures', (f, v) => (
          <VariantPicture job={job} variant={v.id} parts={f.parts} label={v.name} />
        ))}
        {rows.map((row) => (
          <tr key={row.label}>
            <th scope="row">{row.label}</th>
            {shown.map((f) => {
              const differs = f !== first && row.cell(f) !== row.cell(first);
              return (
                <td key={f.id} className={`figure ${differs ? 'differs' : ''}`} data-row={row.label}>
                  {row.cell(f)}
                  {differs && <span className="visually-hidden"> differs</span>}
                </td>
              );
            })}
          </tr>
        ))}
        {head('What differs', (f) =>
          f.differs.length === 0 ? (
            <span className="hint">{f === first ? 'The others are held against this one.' : 'Nothing.'}</span>
          ) : (
            <ul className="differences">
              {f.differs.slice(0, 12).map((d) => (
                <li key={d.id} data-differs={d.kind}>
                  {d.text}
                </li>
              ))}
              {f.differs.length > 12 && <li>and {f.differs.length - 12} more</li>}
            </ul>
          ),
        )}
        {head('Why', (_, v) => (
          <TextArea
            label={`Why ${v.name}`}
            value={v.why}
            maxLength={1000}
            rows={2}
            onCommit={(why) => onEdit(`Why ${v.name}`, v.id, (x) => (x.why = why), `why ${v.id}`)}
          />
        ))}
      </tbody>
    </table>
  );
}
