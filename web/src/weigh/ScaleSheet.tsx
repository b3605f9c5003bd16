import { useState } from 'react';

import { answer, api } from '../api/client';
import { post, rowId } from '../api/outbox';
import type { PlateState, ScaleState, WeighIn } from '../api/types';
import { Field } from '../components/Field';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { TextField } from '../components/TextField';
import { chosenVariant } from '../document/SessionContext';
import { derived } from '../document/useDerive';
import { newId } from '../document/things';
import { formatNumber } from '../quantity/format';
import { unitName } from '../quantity/units';
import { useScales, withChannel } from './useScales';
import { useWeigh } from './useWeigh';
import { WeighInCard } from './WeighInCard';

const wheels = ['front-left', 'front-right', 'rear-left', 'rear-right'] as const;
type Wheel = (typeof wheels)[number];
const wheelNames: Record<Wheel, string> = {
  'front-left': 'Front left',
  'front-right': 'Front right',
  'rear-left': 'Rear left',
  'rear-right': 'Rear right',
};
const fields: Record<Wheel, 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight'> = {
  'front-left': 'frontLeft',
  'front-right': 'frontRight',
  'rear-left': 'rearLeft',
  'rear-right': 'rearRight',
};

const localTime = () => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** The whole vehicle on wheel pads, on an axle plate, or on somebody else's bridge; and what came of it. */
export function ScaleSheet() {
  const { view, session, job, variant } = useWeigh();
  const scales = useScales(job.id, (sentence) => session.tell(sentence));
  const [way, setWay] = useState({ level: true, brakesOff: true, twice: false });
  const [operator, setOperator] = useState('');
  const [front, setFront] = useState<PlateState>();
  if (!view) return null;
  const pads = withChannel(scales.scales, 'front-left');
  const plate = withChannel(scales.scales, 'axle');
  /** Adds a weighing of what is aboard now, with what was read. */
  const add = (name: string, set: (w: WeighIn) => void) => {
    const id = newId(variant.weighIns, 'weighing');
    return session.derive(`Weighing: ${name}`, async (j) => {
      const edit = derived('weigh-in', { id, with: name });
      const next = await answer(api.POST('/api/fix', { body: { edits: [edit], job: j } }));
      const made = chosenVariant(next).weighIns.find((w) => w.id === id);
      if (made) {
        made.at = localTime();
        made.operator = operator;
        Object.assign(made, way);
        set(made);
      }
      return next;
    });
  };
  const kept = (of: string, p: PlateState, address: string) =>
    post({
      to: 'weighings',
      job: job.id,
      row: {
        id: rowId('weighed'),
        of,
        kg: p.kg,
        tare: 0,
        typed: false,
        steady: p.steady,
        at: new Date().toISOString(),
        by: operator,
        device: address,
        raw: p.line,
        corrects: '',
      },
    });
  const tell = (e: unknown) => session.tell(e instanceof Error ? e.message : 'It was not taken.');
  const takeWheels = (scale: ScaleState) => {
    const at = (wheel: Wheel) => scale.plates.find((p) => p.channel === wheel);
    const read = wheels.flatMap((wheel) => at(wheel) ?? []);
    if (read.length < 4) return;
    add('Wheel pads', (w) => {
      w.reading = 'corners';
      w.device = `Wheel pads at ${scale.address}`;
      w.resolution = Math.max(...read.map((p) => p.resolution));
      w.class = Math.max(...read.map((p) => p.class));
      w.moving = read.some((p) => !p.steady);
      for (const wheel of wheels) w[fields[wheel]] = at(wheel)?.kg ?? 0;
    }).catch(tell);
    for (const p of read) kept(`weigh-in/${p.channel}`, p, scale.address);
  };
  const takeAxle = (scale: ScaleState, p: PlateState) => {
    kept(`weigh-in/${front ? 'rear' : 'front'}`, p, scale.address);
    if (!front) {
      setFront(p);
      return;
    }
    setFront(undefined);
    add('Axle plate', (w) => {
      w.reading = 'axles';
      w.device = `Axle plate at ${scale.address}`;
      w.resolution = p.resolution;
      w.class = p.class;
      w.front = front.kg;
      w.rear = p.kg;
      w.moving = !p.steady || !front.steady;
    }).catch(tell);
  };
  const connect = (kind: 'wheel-pads' | 'axle', words: string) => {
    const suggested = scales.suggested.find((s) => s.kind === kind);
    return (
      suggested && (
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => scales.connect(suggested.address)}
        >
          Connect {words}
        </button>
      )
    );
  };
  return (
    <>
      <Panel
        title="On the scale now"
        className="wide"
        note="Tanks, people and load as they are shown"
        actions={
          <AddButton
            label="Type a weighing"
            onClick={() =>
              void add('Weighbridge', (w) => {
                w.reading = 'axles';
                w.resolution = 20;
              }).catch(tell)
            }
          />
        }
      >
        <p className="hint weigh-state">{view.state}</p>
        <Address onConnect={scales.connect} sentence={scales.away ? 'The server does not answer.' : ''}>
          {!pads && connect('wheel-pads', 'the simulated wheel pads')}
          {!plate && connect('axle', 'the simulated axle plate')}
        </Address>
        {pads && (
          <div className="pads-live" data-pads>
            <div className="pads-wheels" role="group" aria-label="Wheel pads">
              {wheels.map((wheel) => (
                <Plate
                  key={wheel}
                  name={wheelNames[wheel]}
                  plate={pads.plates.find((p) => p.channel === wheel)}
                  expected={view.expected.find((e) => e.name === wheel)?.kg}
                />
              ))}
            </div>
            <PadsActions
              scale={pads}
              sum={pads.plates.reduce((sum, p) => sum + p.kg, 0)}
              ready={pads.plates.length === 4 && pads.plates.every((p) => p.steady && p.kg > 0)}
              onTake={() => takeWheels(pads)}
              onZero={() => scales.zero(pads.address)}
              onGone={() => scales.disconnect(pads.address)}
              onLoad={(what) => scales.load(pads.address, what === 'on' ? 'wheels' : 'off')}
            />
          </div>
        )}
        {plate && (
          <div className="pads-live" data-plate>
            <div className="pads-wheels" role="group" aria-label="Axle plate">
              <Plate
                name={front ? 'Rear axle' : 'Front axle'}
                plate={plate.plates[0]}
                expected={view.expected
                  .filter((e) => e.name.startsWith(front ? 'rear' : 'front'))
                  .reduce((sum, e) => sum + e.kg, 0)}
              />
              {front && <Plate name="Front axle, taken" plate={front} expected={undefined} />}
            </div>
            <PadsActions
              scale={plate}
              sum={(front?.kg ?? 0) + (plate.plates[0]?.kg ?? 0)}
              ready={(plate.plates[0]?.steady ?? false) && (plate.plates[0]?.kg ?? 0) > 0}
              onTake={() => plate.plates[0] && takeAxle(plate, plate.plates[0])}
              onZero={() => scales.zero(plate.address)}
              onGone={() => scales.disconnect(plate.address)}
              onLoad={(what) => scales.load(plate.address, what === 'on' ? (front ? 'rear' : 'front') : 'off')}
            />
          </div>
        )}
        <div className="weigh-way">
          {(
            [
              ['level', 'It stands level, all wheels at one height'],
              ['brakesOff', 'Brakes are off, wheels chocked'],
              ['twice', 'Driven off and on, and read alike'],
            ] as const
          ).map(([key, words]) => (
            <label key={key} className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={way[key]}
                onChange={(event) => setWay({ ...way, [key]: event.target.checked })}
              />
              {words}
            </label>
          ))}
          <Field label="Weighed by">
            <TextField label="Weighed by" value={operator} maxLength={120} onCommit={setOperator} />
          </Field>
        </div>
      </Panel>
      {view.weighIns.length === 0 && (
        <p className="empty">
          Not weighed yet. Roll it onto the pads with everything that it drives with, and take the four corners; or type
          what a weighbridge printed.
        </p>
      )}
      {view.weighIns.map((look) => {
        const own = variant.weighIns.find((w) => w.id === look.id);
        return own && <WeighInCard key={look.id} look={look} own={own} />;
      })}
    </>
  );
}

function Plate({
  name,
  plate,
  expected,
}: {
  name: string;
  plate: PlateState | undefined;
  expected: number | undefined;
}) {
  const { job, say } = useWeigh();
  return (
    <div className={`pad-live ${plate?.steady ? 'is-steady' : ''}`} data-plate-of={name}>
      <span>{name}</span>
      <b className="figure">
        {plate ? formatNumber(plate.kg, 'mass', job.units) : '–'} <small>{unitName('mass', job.units)}</small>
      </b>
      <small>
        {!plate
          ? 'nothing heard'
          : plate.doubt !== ''
            ? plate.doubt
            : !plate.fresh
              ? 'nothing comes'
              : plate.steady
                ? 'steady'
                : 'moving …'}
        {expected !== undefined && `; planned ${say(expected)}`}
      </small>
    </div>
  );
}

function PadsActions({
  scale,
  sum,
  ready,
  onTake,
  onZero,
  onGone,
  onLoad,
}: {
  scale: ScaleState;
  sum: number;
  ready: boolean;
  onTake: () => void;
  onZero: () => void;
  onGone: () => void;
  onLoad: (what: 'on' | 'off') => void;
}) {
  const { say } = useWeigh();
  return (
    <div className="pads-side">
      <p className="figure" role="status">
        Together {say(sum)}
        {scale.sentence !== '' && <small className="d-block">{scale.sentence}</small>}
      </p>
      <div className="weigh-actions">
        {scale.simulated && (
          <>
            <button type="button" className="btn btn-outline-secondary" onClick={() => onLoad('on')}>
              Roll it on
            </button>
            <button type="button" className="btn btn-outline-secondary" onClick={() => onLoad('off')}>
              Roll it off
            </button>
          </>
        )}
        <button type="button" className="btn btn-outline-secondary" onClick={onZero}>
          Zero
        </button>
        <button type="button" className="btn btn-outline-secondary" onClick={onGone}>
          Disconnect
        </button>
        <button type="button" className="btn btn-primary btn-lg" disabled={!ready} onClick={onTake}>
          Take
        </button>
      </div>
    </div>
  );
}

function Address({
  onConnect,
  sentence,
  children,
}: {
  onConnect: (address: string) => void;
  sentence: string;
  children: React.ReactNode;
}) {
  const [address, setAddress] = useState('127.0.0.1:8352');
  return (
    <div className="weigh-connect">
      {children}
      <input
        className="form-control form-control-sm"
        aria-label="Address of a scale"
        value={address}
        maxLength={120}
        onChange={(event) => setAddress(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && onConnect(address)}
      />
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => onConnect(address)}>
        Connect
      </button>
      {sentence !== '' && <span className="hint">{sentence}</span>}
    </div>
  );
}
