import { useState } from 'react';

import { Panel } from '../components/Panel';
import { SeverityMark, worstOfPower } from '../findings/SeverityMark';
import { CircuitPanel } from './CircuitPanel';
import { BoardPicture } from './BoardPicture';
import { PanelsCard } from './PanelsCard';
import { Run } from './Run';
import { fuseWord } from '../words/power';
import { percent, usePower } from './usePower';

/** Every wire and fuse: the single-line drawing, each circuit, and what to buy. */
export function BoardSheet() {
  const { job, assessment, wiring, electrics, say, edit } = usePower();
  const [chosen, setChosen] = useState('');
  const lines = wiring?.lines ?? [];
  const told = worstOfPower(assessment?.findings ?? []);
  const line = lines.find((l) => l.of === chosen);
  const agreeAll = () =>
    edit('Agree to what is proposed', (e) => {
      for (const l of lines) {
        if (!e.circuits.some((c) => c.of === l.of)) e.circuits.push(plainCircuit(l.of));
        e.circuits.filter((c) => c.of === l.of).forEach((c) => (c.agreed = true));
      }
    });
  return (
    <>
      <Panel
        title="Board"
        className="wide board-panel"
        note="Proposed from currents and places; choose a line to change it"
        actions={
          <>
            {lines.some((l) => !electrics.circuits.some((c) => c.of === l.of && c.agreed)) && (
              <button type="button" className="btn btn-sm btn-outline-primary" onClick={agreeAll}>
                Agree to all
              </button>
            )}
            <a className="btn btn-sm btn-primary" href={`/api/jobs/${job.id}/power.pdf`} download>
              PDF for the electrician
            </a>
            <a className="btn btn-sm btn-outline-secondary" href={`/api/jobs/${job.id}/board.svg`} download>
              SVG
            </a>
            <a className="btn btn-sm btn-outline-secondary" href={`/api/jobs/${job.id}/power.xlsx`} download>
              Workbook
            </a>
            <a className="btn btn-sm btn-outline-secondary" href={`/api/jobs/${job.id}/power.csv`} download>
              CSV
            </a>
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => window.print()}>
              Print
            </button>
          </>
        }
      >
        {!wiring || lines.length === 0 ? (
          <p className="empty">No circuit yet. Each load, charger and inverter on the Days sheet gets one by itself.</p>
        ) : (
          <BoardPicture told={told} drawing={wiring.drawing} chosen={chosen} onChoose={setChosen} />
        )}
      </Panel>
      {line && <CircuitPanel line={line} onClose={() => setChosen('')} />}
      {line && <Run line={line} />}
      {lines.length > 0 && (
        <Panel title="Circuits" className="wide">
          <div className="table-wrap">
            <table className="sheet-table circuits-table" aria-label="Circuits">
              <thead>
                <tr>
                  <th scope="col" className="over-figures">
                    No
                  </th>
                  <th scope="col">To</th>
                  <th scope="col">From</th>
                  <th scope="col" className="over-figures">
                    Current
                  </th>
                  <th scope="col" className="over-figures">
                    Length
                  </th>
                  <th scope="col" className="over-figures">
                    Copper
                  </th>
                  <th scope="col" className="over-figures">
                    Carries
                  </th>
                  <th scope="col">Fuse</th>
                  <th scope="col" className="over-figures">
                    Loses
                  </th>
                  <th scope="col">State</th>
                </tr>
              </thead>
              <tbody>
                {lines.map((l) => (
                  <tr key={l.of} data-circuit={l.of} id={l.of} className={l.of === chosen ? 'chosen' : undefined}>
                    <td className="figure over-figures">{l.number}</td>
                    <th scope="row">
                      <button type="button" className="link-button" onClick={() => setChosen(l.of)}>
                        {l.name}
                      </button>
                    </th>
                    <td>{l.fromName}</td>
                    <td className="figure over-figures">{say(l.amps, 'current')}</td>
                    <td className="figure over-figures">
                      {say(l.length, 'length')}
                      {l.lengthBy !== 'measured' && <small>{l.lengthBy === 'places' ? 'by places' : 'assumed'}</small>}
                    </td>
                    <td className="figure over-figures">
                      {say(l.area, 'copper')}
                      {l.soldAs > 0 && <small>sold as {l.soldAs} mm</small>}
                    </td>
                    <td className="figure over-figures">{say(l.carries, 'current')}</td>
                    <td>
                      {l.fuse > 0 ? `${say(l.fuse, 'current')} ${fuseWord(l.fuseKind)}` : 'none'}
                      {l.farFuse > 0 && ', both ends'}
                    </td>
                    <td className="figure over-figures">
                      {say(l.drop, 'voltage')}
                      <small>{percent(l.dropShare)}</small>
                    </td>
                    <td>
                      {told.has(l.of) && <SeverityMark severity={told.get(l.of) ?? 'note'} />}
                      {l.others ? 'of others, locked out' : l.proposed ? 'proposed' : 'agreed'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Panel>
      )}
      {wiring && lines.length > 0 && (
        <Panel
          title="To buy"
          className="wide"
          note={`Cables weigh ${say(wiring.mass, 'mass')}; a tenth more is bought than laid`}
        >
          <div className="bills">
            <table className="sheet-table" aria-label="Cable to buy">
              <thead>
                <tr>
                  <th scope="col">Copper</th>
                  <th scope="col" className="over-figures">
                    Conductor
                  </th>
                  <th scope="col" className="over-figures">
                    Mass
                  </th>
                </tr>
              </thead>
              <tbody>
                {wiring.cables.map((c) => (
                  <tr key={c.area}>
                    <th scope="row">{say(c.area, 'copper')}</th>
                    <td className="figure over-figures">{say(c.length, 'length')}</td>
                    <td className="figure over-figures">
                      {c.mass < 0.05 ? `under ${say(0.1, 'mass')}` : say(c.mass, 'mass')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <table className="sheet-table" aria-label="Fuses to buy">
              <thead>
                <tr>
                  <th scope="col">Fuse</th>
                  <th scope="col" className="over-figures">
                    Rated
                  </th>
                  <th scope="col" className="over-figures">
                    Number
                  </th>
                </tr>
              </thead>
              <tbody>
                {wiring.fuses.map((f) => (
                  <tr key={`${f.kind} ${f.amps}`}>
                    <th scope="row">{fuseWord(f.kind)}</th>
                    <td className="figure over-figures">{say(f.amps, 'current')}</td>
                    <td className="figure over-figures">{f.count}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <ul className="labels" aria-label="Labels">
              {lines.map((l) => (
                <li key={l.of} className="figure">
                  {l.number} {l.name} · {say(l.area, 'copper')} · {l.fuse > 0 ? say(l.fuse, 'current') : 'no fuse'}
                </li>
              ))}
            </ul>
          </div>
        </Panel>
      )}
      <PanelsCard />
    </>
  );
}

/** A circuit of which nothing is said: all of it as proposed. */
export function plainCircuit(of: string) {
  return {
    of,
    from: '',
    area: 0,
    insulation: 0,
    length: 0,
    body: false,
    bundle: 0,
    hot: '' as const,
    fuseKind: '' as const,
    fuse: 0,
    fuseAt: 0,
    fuseVolts: 0,
    farFuse: 0,
    noFarFuse: false,
    sheathed: false,
    relay: 0,
    plug: '',
    coded: false,
    latched: false,
    crossings: [],
    pastMeter: false,
    offBattery: false,
    tested: 0,
    agreed: false,
  };
}
