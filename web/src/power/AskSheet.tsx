import { useState } from 'react';

import type { AskLine, SupplySet } from '../api/types';
import { useLines } from '../api/useLines';
import { AskGo } from '../components/AskGo';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { useTrial } from '../findings/useTrial';
import { formatChange } from '../quantity/format';
import { percent, usePower } from './usePower';

/** Asks the catalogue for the lightest or cheapest set of battery, sun, charger and inverter that lasts the days. */
export function AskSheet() {
  const { job, electrics, power, say } = usePower();
  const usual = (electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0])?.id ?? '';
  const [wish, setWish] = useState({
    aim: 'mass' as 'mass' | 'price',
    reserve: 0.1,
    most: 2,
    loose: true,
    slim: 0,
    system: '',
  });
  const { ask, stop, share, last, trouble } = useLines<AskLine>('/api/power/ask');
  const found = last?.answer;
  const money = (cents: number) => `about ${Math.round(cents / 100)} ${job.brief.currency}`.trim();
  return (
    <Panel
      title="Ask for a set"
      className="wide"
      note={
        power
          ? `That lasts ${power.nights} nights at ${say(power.low, 'temperature')} to ${say(power.high, 'temperature')} with what runs now`
          : ''
      }
    >
      {electrics.systems.length === 0 ? (
        <p className="empty">Plan a battery and what runs on it first, on the Days sheet; the set is found for that.</p>
      ) : (
        <div className="ask-power">
          <div className="form">
            <Field label="For">
              <SelectField
                label="Battery that the set is for"
                value={wish.system || usual}
                options={electrics.systems.map((s) => ({ value: s.id, label: s.name }))}
                onCommit={(system) => setWish({ ...wish, system })}
              />
            </Field>
            <Field label="The">
              <SelectField
                label="What there is to be least of"
                value={wish.aim}
                options={[
                  { value: 'mass', label: 'lightest' },
                  { value: 'price', label: 'cheapest' },
                ]}
                onCommit={(aim) => setWish({ ...wish, aim })}
              />
            </Field>
            <Field label="Kept in reserve, %">
              <QuantityField
                label="Kept in reserve, %"
                value={wish.reserve * 100}
                kind="plain"
                system={job.units}
                onCommit={(v) => setWish({ ...wish, reserve: Math.min(0.9, Math.max(0, v / 100)) })}
              />
            </Field>
            <Field label="Panels of one kind at most">
              <QuantityField
                label="Panels of one kind at most"
                value={wish.most}
                kind="plain"
                system={job.units}
                onCommit={(v) => setWish({ ...wish, most: Math.min(4, Math.max(0, Math.round(v))) })}
              />
            </Field>
            <Field label="Battery no thicker than" hint="Empty: any">
              <QuantityField
                label="Battery no thicker than"
                value={wish.slim}
                kind="length"
                system={job.units}
                emptyForZero
                onCommit={(slim) => setWish({ ...wish, slim: Math.min(2000, Math.max(0, slim)) })}
              />
            </Field>
            <label className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                aria-label="Loose panels count"
                checked={wish.loose}
                onChange={(e) => setWish({ ...wish, loose: e.target.checked })}
              />
              Loose panels that are put up at camp count
            </label>
            <AskGo
              label="Ask"
              share={share}
              onAsk={() => void ask({ wish: { ...wish, system: wish.system || usual }, job })}
              onStop={stop}
            />
          </div>
          <div>
            {trouble !== '' && (
              <p className="trouble" role="alert">
                {trouble}
              </p>
            )}
            {found && found.none !== '' && <p className="notice">{found.none}</p>}
            {found && found.sets.length > 0 && (
              <>
                <Sets label="Sets that last" sets={found.sets} money={money} />
                <h3>Under an overcast sky all the way</h3>
                {found.worse.length > 0 ? (
                  <Sets label="Set for bad weather" sets={found.worse} money={money} />
                ) : (
                  <p className="hint">No set of the catalogue lasts then.</p>
                )}
                <p className="hint">
                  The best of {found.of} sets, by exact search over {found.tried} runs of the days. Estimates: sun, use
                  and prices are to be checked, and whatever is put in is tried against every rule first.
                </p>
              </>
            )}
            {!found && share === undefined && (
              <p className="empty">What charges it now is replaced; what runs on it, its reserve and its meter stay.</p>
            )}
          </div>
        </div>
      )}
    </Panel>
  );
}

function Sets({ label, sets, money }: { label: string; sets: SupplySet[]; money: (cents: number) => string }) {
  const { job, say } = usePower();
  const { tried, toggle } = useTrial();
  return (
    <ol className="supply-sets" aria-label={label}>
      {sets.map((set) => {
        const name = set.parts.map((p) => (p.count > 1 ? `${p.count} × ${p.name}` : p.name)).join(', ');
        return (
          <li key={name} data-set>
            <b>{name}</b>
            <span className="figure">
              {say(set.mass, 'mass')}, {money(set.price)}; lowest {percent(set.lowest)}
            </span>
            <span className="hint figure">
              front axle {formatChange(set.front, 'mass', job.units)}, rear axle{' '}
              {formatChange(set.rear, 'mass', job.units)}
            </span>
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              aria-pressed={tried(name)}
              aria-label={`Try it: ${name}`}
              onClick={() => toggle(name, set.changes)}
            >
              Try it
            </button>
          </li>
        );
      })}
    </ol>
  );
}
