import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { TextArea } from '../components/TextArea';
import { downloading } from '../document/download';
import { useSession } from '../document/SessionContext';
import { derived } from '../document/useDerive';
import { formatNumber } from '../quantity/format';
import { materials } from '../words/build';
import { labelOf } from '../words/words';
import { useBuild } from './useBuild';
import { WaysCard } from './WaysCard';

/** What the build costs, against what the brief allows. */
export function CostSheet() {
  const { view, build, job, money, say, line, edit, text, derive } = useBuild();
  const session = useSession();
  if (!view) return null;
  const q = view.quote;
  const wide = Math.max(q.total, view.budget, 1);
  const bars = [
    { name: 'Material', cents: q.material },
    { name: 'Hardware', cents: q.hardware },
    { name: 'Parts', cents: q.bought },
    { name: 'Mark-up', cents: q.marked },
    { name: 'Work', cents: q.work },
    { name: 'Tax', cents: q.tax },
  ];
  const m = build.money;
  const percent = (label: string, value: number, set: (v: number) => void) =>
    line(`${label}, %`, Math.round(value * 1000) / 10, 'plain', (_, v) => set(v / 100));
  return (
    <>
      <Panel
        title="What it costs"
        className="wide"
        note="An estimate, at the prices and hours of the lists"
        actions={
          <a
            className="btn btn-sm btn-primary"
            href={`/api/jobs/${job.id}/quote.pdf`}
            onClick={downloading(session, `/api/jobs/${job.id}/quote.pdf`)}
          >
            Quote, PDF
          </a>
        }
      >
        <div
          className="cost-bar"
          role="img"
          aria-label={`${money(q.total)}${view.budget > 0 ? ` of ${money(view.budget)}` : ''}`}
        >
          {bars.map((b, i) => (
            <span
              key={b.name}
              className={`cost-part cost-part-${i}`}
              style={{ width: `${(100 * Math.max(0, b.cents)) / wide}%` }}
              title={`${b.name}: ${money(b.cents)}`}
            />
          ))}
          {view.budget > 0 && <i className="cost-budget" style={{ left: `${(100 * view.budget) / wide}%` }} />}
        </div>
        <ul className="big-figures cost-figures">
          {bars.map((b, i) => (
            <li key={b.name}>
              <small>
                <i className={`cost-key cost-part-${i}`} aria-hidden /> {b.name}
              </small>
              <b className="figure">{money(b.cents)}</b>
            </li>
          ))}
          <li data-cost="total">
            <small>Total</small>
            <b className="figure">{money(q.total)}</b>
            <small className={view.budget > 0 && q.total > view.budget ? 'over' : ''}>
              {view.budget === 0
                ? 'the brief states no budget'
                : q.total > view.budget
                  ? `${money(q.total - view.budget)} over the budget`
                  : `${money(view.budget - q.total)} left of the budget`}
            </small>
          </li>
        </ul>
        <details className="cost-lines">
          <summary>Line by line</summary>
          <div className="table-wrap">
            <table className="sheet-table" aria-label="Cost, line by line">
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col" className="over-figures">
                    Count
                  </th>
                  <th scope="col" className="over-figures">
                    Each
                  </th>
                  <th scope="col" className="over-figures">
                    Sum
                  </th>
                </tr>
              </thead>
              <tbody>
                {(
                  [
                    ['Material', view.lines.material],
                    ['Hardware', view.lines.hardware],
                    ['Parts', view.lines.bought],
                    ['Work', view.lines.work],
                  ] as const
                ).map(([name, lines]) => [
                  <tr key={name} className="list-head">
                    <th scope="rowgroup" colSpan={4}>
                      {name}
                    </th>
                  </tr>,
                  ...lines.map((l, i) => (
                    <tr key={`${name} ${i}`}>
                      <th scope="row">{l.what}</th>
                      <td className="figure">
                        {formatNumber(l.count, 'plain', job.units)} {l.unit}
                      </td>
                      <td className="figure">{l.each > 0 ? money(l.each) : ''}</td>
                      <td className="figure">{l.sum > 0 || l.each > 0 ? money(l.sum) : 'no price'}</td>
                    </tr>
                  )),
                ])}
              </tbody>
            </table>
          </div>
        </details>
      </Panel>
      <Panel title="The same in each material" className="wide" note="All that is made here; sheets and cost at least">
        <div className="table-wrap">
          <table className="sheet-table others" aria-label="The same in each material">
            <thead>
              <tr>
                <th scope="col">Built of</th>
                <th scope="col" className="over-figures">
                  Weighs
                </th>
                <th scope="col" className="over-figures">
                  Rear axle
                </th>
                <th scope="col" className="over-figures">
                  Sheets
                </th>
                <th scope="col" className="over-figures">
                  Hours
                </th>
                <th scope="col" className="over-figures">
                  Costs
                </th>
                <th scope="col">
                  <span className="visually-hidden">Take it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {view.others.map((o) => (
                <tr key={o.now ? 'now' : o.wall} data-wall={o.now ? 'now' : o.wall}>
                  <th scope="row">
                    {o.now
                      ? 'As planned'
                      : `${o.wall === 'extrusion' ? 'Slotted profile' : labelOf(materials, o.wall)}, ${say(o.panel, 'length')}`}
                  </th>
                  <td className="figure">{say(o.kg, 'mass')}</td>
                  <td className="figure">{say(o.rear, 'mass')}</td>
                  <td className="figure">{o.sheets}</td>
                  <td className="figure">{formatNumber(o.hours, 'plain', job.units)} h</td>
                  <td className="figure">{money(o.total)}</td>
                  <td>
                    {!o.now && (
                      <button
                        type="button"
                        className="chip"
                        onClick={() =>
                          void derive(
                            `Build of ${labelOf(materials, o.wall).toLowerCase()}`,
                            derived('build-in', { with: o.wall, value: o.panel }),
                          )
                        }
                      >
                        Build it so
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Panel>
      <WaysCard />
      <Panel
        title="Terms"
        className="wide"
        note={job.brief.currency === '' ? 'The brief names no currency' : `In ${job.brief.currency}`}
      >
        <div className="shop-form">
          {percent('Mark-up on material and parts', m.markUp, (v) => edit('Mark-up', (b) => (b.money.markUp = v)))}
          {line('An hour', m.rate / 100, 'plain', (b, v) => (b.money.rate = Math.round(v * 100)))}
          {line(
            "An electrician's hour",
            m.electric / 100,
            'plain',
            (b, v) => (b.money.electric = Math.round(v * 100)),
            'empty: the same',
            true,
          )}
          {percent('Tax', m.tax, (v) => edit('Tax', (b) => (b.money.tax = v)))}
          {percent('Before it begins', m.deposit, (v) => edit('Deposit', (b) => (b.money.deposit = v)))}
          {percent('When half is done', m.midway, (v) => edit('Midway', (b) => (b.money.midway = v)))}
          {line('Decimals of the currency', m.decimals, 'plain', (b, v) => (b.money.decimals = Math.round(v)))}
          {line('Holds for', m.valid, 'plain', (b, v) => (b.money.valid = Math.round(v)), 'days')}
          <Field label="Number of the quote">
            {text('Number of the quote', m.number, (b, v) => (b.money.number = v), 40)}
          </Field>
          <Field label="Date of the quote">
            <input
              type="date"
              className="form-control form-control-sm"
              aria-label="Date of the quote"
              value={m.date}
              onChange={(event) => edit('Date of the quote', (b) => (b.money.date = event.target.value))}
            />
          </Field>
          <Field label="Who offers it">
            {text('Who offers it', m.workshop, (b, v) => (b.money.workshop = v), 400)}
          </Field>
          <Field label="Not included">
            <TextArea
              label="Not included"
              value={m.excluded}
              maxLength={2000}
              onCommit={(v) => edit('Not included', (b) => (b.money.excluded = v), 'excluded')}
            />
          </Field>
        </div>
      </Panel>
    </>
  );
}
