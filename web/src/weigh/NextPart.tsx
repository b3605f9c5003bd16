import { useEffect, useRef, useState, type KeyboardEvent } from 'react';

import { post, rowId } from '../api/outbox';
import { useOutbox } from '../api/useOutbox';
import type { PartWeight } from '../api/types';
import { QuantityField } from '../components/QuantityField';
import { formatNumber } from '../quantity/format';
import { unitName } from '../quantity/units';
import { speak, useAloud } from './aloud';
import { usePartWeight } from './usePartWeight';
import { useScales, withChannel } from './useScales';
import { useWeigh } from './useWeigh';
import type { Platform } from './usePlatform';

/** The part that is weighed next: its planned mass, what the scale reads, large, and one button to take it. */
export function NextPart({
  part,
  after,
  platform,
  onNext,
}: {
  part: PartWeight;
  after: PartWeight | undefined;
  platform: Platform;
  onNext: (id: string | undefined) => void;
}) {
  const { session, job, say, change } = useWeigh();
  const weight = usePartWeight();
  const scales = useScales(job.id, (sentence) => session.tell(sentence));
  const scale = withChannel(scales.scales, 'platform');
  const plate = scale?.plates.find((p) => p.channel === 'platform');
  const { tare, setTare } = platform;
  const [wish, setWish] = useState(false);
  const [typed, setTyped] = useState(0);
  const letters = useOutbox(job.id).filter((l) => l.to === 'weighings');
  const [aloud, setAloud] = useAloud();
  const region = useRef<HTMLElement>(null);
  const suggested = scales.suggested.find((s) => s.kind === 'platform');
  const net = plate ? plate.kg - tare : 0;
  // Until the scale has changed, what it reads is the part before.
  const still = platform.stillOn(part.id, plate);
  const ready = plate !== undefined && plate.steady && net > 0 && still === '';
  const take = (kg: number, byHand: boolean) => {
    const now = new Date();
    const before = weight.readings(part.id);
    post({
      to: 'weighings',
      job: job.id,
      row: {
        id: rowId('weighed'),
        of: `item/${part.id}`,
        kg: byHand ? kg : (plate?.kg ?? kg),
        tare: byHand ? 0 : tare,
        typed: byHand,
        steady: byHand || (plate?.steady ?? false),
        at: now.toISOString(),
        by: '',
        device: byHand ? '' : `platform ${scale?.address ?? ''}`,
        raw: byHand ? '' : (plate?.line ?? ''),
        corrects: before[0] ?? '',
      },
    });
    weight.take(part, kg);
    if (!byHand && plate) platform.setTaken({ id: part.id, name: part.name, kg: plate.kg });
    if (aloud) speak(`${part.name}: ${say(kg)}`);
    setTyped(0);
    onNext(after?.id);
  };
  const keys = (event: KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement) return;
    if (event.key === 't' || event.key === 'T') {
      event.preventDefault();
      ask();
    }
  };
  // Asked while it still moves, it is taken as soon as it is steady, unless it comes off before.
  const ask = () => {
    if (ready) take(net, false);
    else if (still !== '') session.tell(`${still} is still on the scale: take it off, put ${part.name} on.`);
    else if (!plate?.fresh || net <= 0) session.tell(`The scale reads nothing: put ${part.name} on, then take it.`);
    else setWish(true);
  };
  useEffect(() => platform.seen(plate));
  useEffect(() => {
    if (!wish || (!ready && net > 0)) return;
    const now = setTimeout(() => {
      setWish(false);
      if (ready) take(net, false);
    });
    return () => clearTimeout(now);
  });
  // Ready to be taken by key as soon as the next part is there.
  useEffect(() => region.current?.focus({ preventScroll: true }), [part.id]);
  const off = ready && part.sigma > 0 ? (net - part.planned) / part.sigma : 0;
  return (
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- T takes from anywhere within
    <section
      ref={region}
      className="weigh-next"
      aria-label={`Weigh next: ${part.name}`}
      tabIndex={-1}
      onKeyDown={keys}
      data-part={part.id}
    >
      <div>
        <h3>{part.name}</h3>
        <p className="hint figure">
          Planned {say(part.planned)} ± {say(part.sigma)}
          {part.weighed > 0 && `, weighed ${say(part.weighed)}`}
        </p>
      </div>
      <div
        className={`weigh-reading ${ready ? 'is-steady' : ''}`}
        role="status"
        aria-label="Scale"
        aria-live="off"
        data-scale-ready={ready}
      >
        {plate ? (
          <>
            <b className="figure">
              {formatNumber(net, 'mass', job.units)} <small>{unitName('mass', job.units)}</small>
            </b>
            <span>
              {plate.doubt !== ''
                ? plate.doubt
                : !plate.fresh
                  ? 'nothing comes from the scale'
                  : still !== ''
                    ? `still ${still}; take it off`
                    : plate.steady
                      ? Math.abs(off) > 3
                        ? `steady; ${change(net - part.planned)}, more than could be expected`
                        : 'steady'
                      : wish
                        ? 'moving; taken as soon as it is steady'
                        : 'moving …'}
              {tare !== 0 && `, tare ${say(tare)}`}
            </span>
          </>
        ) : (
          <span>
            {scales.away
              ? 'The server is away; type what it weighs.'
              : (scale?.sentence ?? 'No platform scale is connected.')}
          </span>
        )}
      </div>
      <div className="weigh-actions">
        {!scale && suggested && (
          <button type="button" className="btn btn-outline-secondary" onClick={() => scales.connect(suggested.address)}>
            Connect the simulated scale
          </button>
        )}
        {scale?.simulated && (
          <>
            <button
              type="button"
              className="btn btn-outline-secondary"
              onClick={() => scales.load(scale.address, 'item', part.id)}
            >
              Put it on
            </button>
            <button
              type="button"
              className="btn btn-outline-secondary"
              onClick={() => scales.load(scale.address, 'off')}
            >
              Take it off
            </button>
          </>
        )}
        {plate && (
          <>
            <button
              type="button"
              className="btn btn-outline-secondary"
              onClick={() => setTare(tare === 0 ? plate.kg : 0)}
              disabled={tare === 0 && (!plate.steady || plate.kg === 0)}
            >
              {tare === 0 ? 'Tare' : 'Tare off'}
            </button>
            <button
              type="button"
              className="btn btn-outline-secondary"
              onClick={() => scale && scales.zero(scale.address)}
            >
              Zero
            </button>
          </>
        )}
        <button
          type="button"
          className="btn btn-primary btn-lg weigh-take"
          disabled={!plate?.fresh || net <= 0 || still !== ''}
          title="T"
          onClick={ask}
        >
          Take
        </button>
      </div>
      <div className="weigh-typed">
        <span>or type it</span>
        <QuantityField
          label={`What ${part.name} weighs`}
          value={typed}
          kind="mass"
          system={job.units}
          emptyForZero
          onCommit={(kg) => {
            if (kg > 0) take(kg, true);
          }}
        />
        {after && (
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => onNext(after.id)}>
            Skip to {after.name}
          </button>
        )}
        <label className="switch-line">
          <input
            type="checkbox"
            className="form-check-input"
            checked={aloud}
            onChange={(event) => setAloud(event.target.checked)}
          />
          say aloud what is taken
        </label>
        {letters.length > 0 && (
          <span className="hint" data-outbox={letters.length}>
            {letters.length} {letters.length === 1 ? 'reading waits' : 'readings wait'} for the server
          </span>
        )}
      </div>
    </section>
  );
}
