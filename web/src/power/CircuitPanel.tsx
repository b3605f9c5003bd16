import { useEffect, useRef } from 'react';

import type { Circuit, Wire } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { newId } from '../document/things';
import { crossingKinds, fuseKinds, fuseWord, hotPlaces } from '../words/power';
import { plainCircuit } from './BoardSheet';
import { percent, usePower } from './usePower';

/** One circuit: what is proposed, and what is said of it instead. */
export function CircuitPanel({ line, onClose }: { line: Wire; onClose: () => void }) {
  const { electrics, edit, line: numberLine, tick, text, say } = usePower();
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => place.current?.scrollIntoView({ block: 'nearest' }), [line.of]);
  const kept = electrics.circuits.find((c) => c.of === line.of);
  const c: Circuit = kept ?? plainCircuit(line.of);
  /** Changes what is said of this circuit; the first word said makes its entry. */
  const of = (e: typeof electrics): Circuit => {
    let circuit = e.circuits.find((x) => x.of === line.of);
    if (!circuit) {
      circuit = plainCircuit(line.of);
      e.circuits.push(circuit);
    }
    return circuit;
  };
  type Key =
    'area' | 'insulation' | 'length' | 'bundle' | 'fuse' | 'fuseAt' | 'fuseVolts' | 'farFuse' | 'relay' | 'tested';
  const number = (label: string, key: Key, kind: Parameters<typeof numberLine>[2], hint?: string) =>
    numberLine([label, `${label} of ${line.name}`], c[key], kind, (e, v) => (of(e)[key] = v), hint, true);
  const yes = (
    words: string,
    key: 'body' | 'noFarFuse' | 'sheathed' | 'coded' | 'latched' | 'pastMeter' | 'offBattery',
  ) => tick(`${words}: ${line.name}`, words, c[key], (e, v) => (of(e)[key] = v));
  return (
    <div ref={place}>
      <Panel
        title={`Circuit ${line.number}: ${line.name}`}
        className="wide"
        note={`${say(line.amps, 'current')} from ${line.fromName}; loses ${say(line.drop, 'voltage')}, ${percent(line.dropShare)} of ${percent(line.dropMost)}`}
        actions={
          <>
            {kept && (
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary"
                onClick={() =>
                  edit(
                    `Circuit ${line.number} as proposed`,
                    (e) => (e.circuits = e.circuits.filter((x) => x.of !== line.of)),
                  )
                }
              >
                As proposed
              </button>
            )}
            {!c.agreed && (
              <button
                type="button"
                className="btn btn-sm btn-outline-primary"
                onClick={() => edit(`Agree to circuit ${line.number}`, (e) => (of(e).agreed = true))}
              >
                Agree to it
              </button>
            )}
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onClose}>
              Close
            </button>
          </>
        }
      >
        <div className="days-forms">
          <div className="form">
            {number(
              'Copper',
              'area',
              'copper',
              `Proposed ${line.needs > 0 ? say(line.needs, 'copper') : 'none that is sold'}; never the outside diameter`,
            )}
            {number(
              'Length, one way',
              'length',
              'length',
              `Empty: ${say(line.length, 'length')} ${line.lengthBy === 'places' ? 'by places' : line.lengthBy}`,
            )}
            {number('Insulation, °C', 'insulation', 'plain', 'Empty: 105')}
            {number('In a bundle of', 'bundle', 'plain')}
            <Field label="Hottest place">
              <SelectField
                label={`Hottest place of ${line.name}`}
                value={c.hot}
                options={hotPlaces}
                onCommit={(hot) => edit(`Hottest place of ${line.name}`, (e) => (of(e).hot = hot))}
              />
            </Field>
            {electrics.panels.length > 0 && (
              <Field label="From">
                <SelectField
                  label={`What feeds the circuit of ${line.name}`}
                  value={c.from}
                  options={[
                    { value: '', label: 'As proposed' },
                    { value: line.system, label: 'Straight from the battery' },
                    ...electrics.panels
                      .filter((p) => p.system === line.system)
                      .map((p) => ({ value: p.id, label: p.name })),
                  ]}
                  onCommit={(v) => edit(`What feeds ${line.name}`, (e) => (of(e).from = v))}
                />
              </Field>
            )}
            {yes('The body returns the current', 'body')}
          </div>
          <div className="form">
            <Field
              label="Fuse"
              hint={line.fuse > 0 ? `Now ${say(line.fuse, 'current')} ${fuseWord(line.fuseKind)}` : 'Now none'}
            >
              <SelectField
                label={`Make of fuse of ${line.name}`}
                value={c.fuseKind}
                options={fuseKinds}
                onCommit={(kind) => edit(`Fuse of ${line.name}`, (e) => (of(e).fuseKind = kind))}
              />
            </Field>
            {number('Rated', 'fuse', 'current', 'Empty: as proposed')}
            {number('From what feeds it', 'fuseAt', 'length')}
            {yes('In a sheath up to the fuse', 'sheathed')}
            {number('Fuse is for', 'fuseVolts', 'voltage', 'Empty: usual of its make')}
            {line.far && number('Fuse at the other end', 'farFuse', 'current')}
            {line.far && yes('No fuse at the other end', 'noFarFuse')}
            {number('Switch or relay rated', 'relay', 'current')}
            {number('Lost when tested', 'tested', 'voltage', 'Under load')}
          </div>
          <div className="form">
            <Field label="Plug">{text(`Plug of ${line.name}`, c.plug, (e, v) => (of(e).plug = v), 60)}</Field>
            {c.plug !== '' && yes('It fits one socket only', 'coded')}
            {c.plug !== '' && yes('It is held', 'latched')}
            {yes('Its current goes past the meter', 'pastMeter')}
            {yes('Stays live with the isolator open', 'offBattery')}
            {c.crossings.map((x) => (
              <div key={x.id} className="own-day">
                <SelectField
                  label={`What the cable of ${line.name} passes`}
                  value={x.kind}
                  options={crossingKinds}
                  onCommit={(kind) =>
                    edit(`Way of ${line.name}`, (e) =>
                      of(e)
                        .crossings.filter((y) => y.id === x.id)
                        .forEach((y) => (y.kind = kind)),
                    )
                  }
                />
                {tick(`Guarded ${x.kind}: ${line.name}`, 'guarded', x.guarded, (e, v) =>
                  of(e)
                    .crossings.filter((y) => y.id === x.id)
                    .forEach((y) => (y.guarded = v)),
                )}
                <RemoveButton
                  label={`Remove crossing of ${line.name}`}
                  onClick={() =>
                    edit(`Way of ${line.name}`, (e) => (of(e).crossings = of(e).crossings.filter((y) => y.id !== x.id)))
                  }
                />
              </div>
            ))}
            <AddButton
              label="It passes something"
              onClick={() =>
                edit(`Way of ${line.name}`, (e) =>
                  of(e).crossings.push({ id: newId(of(e).crossings, 'crossing'), kind: 'slide', guarded: false }),
                )
              }
            />
          </div>
        </div>
      </Panel>
    </div>
  );
}
