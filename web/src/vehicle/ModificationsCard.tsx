import { useState } from 'react';

import type { Modification, Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { drop, newId, on } from '../document/things';
import { formatQuantity } from '../quantity/format';
import { capital, labelOf, massSources, useVocabulary } from '../words/words';
import { axles, certificates, modificationKinds } from '../words/vehicle';
import { forgetPart } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

type Kind = Modification['kind'];
type LimitID = Modification['limits'][number]['limit'];

/** The limits that a kind of work may move; springs and airbags move none. */
const moves: Record<Kind, readonly LimitID[]> = {
  'gross-upgrade': ['gross', 'frontAxle', 'rearAxle', 'combination'],
  'axle-rating': ['frontAxle', 'rearAxle'],
  springs: [],
  airbags: [],
  tyres: [],
  'roof-rack': ['roofMoving', 'roofParked'],
  bar: [],
  winch: [],
  'long-range-tank': [],
  towing: ['ball', 'trailerBraked', 'trailerUnbraked'],
  other: ['gross', 'frontAxle', 'rearAxle'],
};

const withAxle: readonly Kind[] = ['springs', 'airbags', 'tyres'];

function fresh(v: Vehicle, kind: Kind): Modification {
  const ahead: readonly Kind[] = ['bar', 'winch'];
  return {
    id: newId(v.modifications, kind),
    name: labelOf(modificationKinds, kind),
    kind,
    counted: true,
    mass: 0,
    at: {
      x: ahead.includes(kind) ? -v.outline.frontOverhang : v.wheelbase,
      y: 0,
      z: kind === 'roof-rack' ? v.outline.height : 600,
    },
    source: 'data-sheet',
    inBaseline: false,
    behind: false,
    certificate: kind === 'gross-upgrade' || kind === 'axle-rating' ? 'planned' : 'not-needed',
    limits: [],
    axle: withAxle.includes(kind) ? 'rear' : 'none',
    rate: 0,
    second: 0,
    from: 0,
    lift: 0,
    tyre: { index: 0, dual: false, dualIndex: 0 },
    note: '',
  };
}

/** Work on the vehicle that moves a limit, its mass or its height. */
export function ModificationsCard() {
  const { vehicle, edit } = useVehicleEdit();
  const [kind, setKind] = useState<Kind>('springs');
  const [opened, setOpened] = useState<string[]>([]);
  const add = () => {
    const modification = fresh(vehicle, kind);
    edit('Add modification', (v) => v.modifications.push(modification));
    setOpened([...opened, modification.id]);
  };
  return (
    <Panel
      title="Modifications"
      className="wide"
      note="Fitted or planned; untick what the plan should not count with"
      actions={
        <>
          <SelectField label="Kind of modification" value={kind} options={modificationKinds} onCommit={setKind} />
          <AddButton label="Add modification" onClick={add} />
        </>
      }
    >
      {vehicle.modifications.length === 0 && (
        <p className="empty">
          None. Upgrades, springs, airbags, tyres, racks, bars, winches and tanks belong here, each with its mass and
          its certificate.
        </p>
      )}
      <div className="works">
        {vehicle.modifications.map((m) => (
          <OneModification
            key={m.id}
            m={m}
            open={opened.includes(m.id)}
            onOpen={(open) => setOpened(open ? [...opened, m.id] : opened.filter((id) => id !== m.id))}
          />
        ))}
      </div>
    </Panel>
  );
}

function OneModification({ m, open, onOpen }: { m: Modification; open: boolean; onOpen: (open: boolean) => void }) {
  const { edit, tick, text } = useVehicleEdit();
  const own = (change: (x: Modification) => void) => (v: Vehicle) => on(v.modifications, m.id, change);
  const gist = useGist(m);
  return (
    <article className={`work ${m.counted ? '' : 'work-off'}`} data-thing={m.id} aria-label={m.name}>
      <header>
        {tick(`Count with ${m.name}`, '', m.counted, (v, yes) => own((x) => (x.counted = yes))(v))}
        {text(`Name of ${m.name}`, m.name, (v, name) => own((x) => (x.name = name))(v), 120, true)}
        <span className="work-gist">{gist}</span>
        <button
          type="button"
          className="icon-button"
          aria-expanded={open}
          aria-label={`Details of ${m.name}`}
          title="Details"
          onClick={() => onOpen(!open)}
        >
          <i className={`bi ${open ? 'bi-chevron-up' : 'bi-chevron-down'}`} aria-hidden />
        </button>
        <RemoveButton
          label={`Remove ${m.name}`}
          onClick={() =>
            edit(`Remove ${m.name}`, (v) => {
              drop(v.modifications, m.id);
              forgetPart(v, m.id);
            })
          }
        />
      </header>
      {open && <Details m={m} />}
    </article>
  );
}

/** What a modification does, in one line. */
function useGist(m: Modification): string {
  const { job } = useVehicleEdit();
  const word = useLimitWord();
  const shown = (value: number, kind: 'mass' | 'length' | 'rate') => formatQuantity(value, kind, job.units);
  const does = [
    ...(m.mass !== 0 ? [shown(m.mass, 'mass')] : []),
    ...m.limits.map((l) => `${word(l.limit)} ${shown(l.kg, 'mass')}`),
    ...(withAxle.includes(m.kind) ? [labelOf(axles, m.axle).toLowerCase()] : []),
    ...(m.rate > 0 ? [shown(m.rate, 'rate')] : []),
    ...(m.lift !== 0 ? [`lifts ${shown(m.lift, 'length')}`] : []),
    ...(m.tyre.index > 0 ? [`load index ${m.tyre.index}`] : []),
    ...(m.certificate === 'not-needed' ? [] : [labelOf(certificates, m.certificate).toLowerCase()]),
    ...(m.counted ? [] : ['not counted']),
  ];
  return does.join(', ');
}

/** What a limit is called in the job's region. */
function useLimitWord() {
  const { job } = useVehicleEdit();
  const vocabulary = useVocabulary();
  const named: Partial<Record<LimitID, string>> = {
    roofMoving: 'Roof, moving',
    roofParked: 'Roof, parked',
    trailerBraked: 'Braked trailer',
    trailerUnbraked: 'Unbraked trailer',
  };
  return (limit: LimitID) => {
    return capital(named[limit] ?? vocabulary(job.region, limit).word);
  };
}

function Details({ m }: { m: Modification }) {
  const { edit, line, tick, placeFields, unit } = useVehicleEdit();
  const own = (change: (x: Modification) => void) => (v: Vehicle) => on(v.modifications, m.id, change);
  const word = useLimitWord();
  const [station, side, height] = placeFields(m.name, m.at, (v) => v.modifications.find((x) => x.id === m.id)?.at);
  const setLimit = (x: Modification, limit: LimitID, kg: number) => {
    x.limits = [...x.limits.filter((l) => l.limit !== limit), ...(kg > 0 ? [{ limit, kg }] : [])];
  };
  const offered = [...new Set([...moves[m.kind], ...m.limits.map((l) => l.limit)])];
  return (
    <>
      <div className="form form-wide">
        <Field label="Kind">
          <SelectField
            label={`Kind of ${m.name}`}
            value={m.kind}
            options={modificationKinds}
            onCommit={(kind) =>
              edit(
                `Kind of ${m.name}`,
                own((x) => (x.kind = kind)),
              )
            }
          />
        </Field>
        {line(['Mass', `Mass of ${m.name}`], m.mass, 'mass', (v, kg) => own((x) => (x.mass = kg))(v))}
        <Field label="Certificate">
          <SelectField
            label={`Certificate of ${m.name}`}
            value={m.certificate}
            options={certificates}
            onCommit={(certificate) =>
              edit(
                `Certificate of ${m.name}`,
                own((x) => (x.certificate = certificate)),
              )
            }
          />
        </Field>
        <Field label={`Station, side, height ${unit('length')}`}>
          <span className="three">
            {station}
            {side}
            {height}
          </span>
        </Field>
        <Field label="Mass from">
          <SelectField
            label={`Source of ${m.name}`}
            value={m.source}
            options={massSources}
            onCommit={(source) =>
              edit(
                `Source of ${m.name}`,
                own((x) => (x.source = source)),
              )
            }
          />
        </Field>
        {withAxle.includes(m.kind) && (
          <Field label="On">
            <SelectField
              label={`Axle of ${m.name}`}
              value={m.axle}
              options={axles}
              onCommit={(axle) =>
                edit(
                  `Axle of ${m.name}`,
                  own((x) => (x.axle = axle)),
                )
              }
            />
          </Field>
        )}
        {(m.kind === 'springs' || m.kind === 'airbags') && (
          <>
            {line(
              [m.kind === 'springs' ? 'Rate' : 'Adds', `Rate of ${m.name}`],
              m.rate,
              'rate',
              (v, k) => own((x) => (x.rate = k))(v),
              m.kind === 'springs' ? 'At the wheel, in the place of the old' : 'To the rate at the wheel',
              true,
            )}
            {m.kind === 'springs' &&
              line(
                ['Second rate', `Second rate of ${m.name}`],
                m.second,
                'rate',
                (v, k) => own((x) => (x.second = k))(v),
                'From a deflection on; empty is one rate',
                true,
              )}
            {m.kind === 'springs' &&
              m.second > 0 &&
              line(
                ['It begins', `Where the second rate of ${m.name} begins`],
                m.from,
                'length',
                (v, mm) => own((x) => (x.from = mm))(v),
                'Down from the unladen height',
              )}
            {line(
              ['Lifts by', `Lift of ${m.name}`],
              m.lift,
              'length',
              (v, mm) => own((x) => (x.lift = mm))(v),
              'Against the unladen height before',
            )}
          </>
        )}
        {m.kind === 'tyres' && (
          <>
            {line(
              ['Load index', `Load index of ${m.name}`],
              m.tyre.index,
              'plain',
              (v, n) => own((x) => (x.tyre.index = Math.round(n)))(v),
              '70 to 130, from the side wall',
              true,
            )}
            {tick(`${m.name} dual`, 'Dual, two on each side', m.tyre.dual, (v, yes) =>
              own((x) => (x.tyre.dual = yes))(v),
            )}
            {m.tyre.dual &&
              line(
                ['Dual index', `Dual index of ${m.name}`],
                m.tyre.dualIndex,
                'plain',
                (v, n) => own((x) => (x.tyre.dualIndex = Math.round(n)))(v),
                undefined,
                true,
              )}
          </>
        )}
        {offered.map((limit) => (
          <div key={limit}>
            {line(
              [word(limit), `${word(limit)} with ${m.name}`],
              m.limits.find((l) => l.limit === limit)?.kg ?? 0,
              'mass',
              (v, kg) => own((x) => setLimit(x, limit, kg))(v),
              undefined,
              true,
            )}
          </div>
        ))}
        {tick(`${m.name} is in the baseline`, 'The empty mass already contains it', m.inBaseline, (v, yes) =>
          own((x) => (x.inBaseline = yes))(v),
        )}
      </div>
      {m.kind === 'airbags' && <p className="hint">Helper airbags level the vehicle. They raise no rating.</p>}
      {m.kind === 'springs' && (
        <p className="hint">Springs carry the mass better and change the height. They raise no rating.</p>
      )}
      {(m.kind === 'gross-upgrade' || m.kind === 'axle-rating') && (
        <p className="hint">
          Belongs to certified people under local rules. In many places it matters whether it is certified before or
          after first registration, and axle ratings do not always rise with the gross.
        </p>
      )}
    </>
  );
}
