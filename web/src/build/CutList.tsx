import { Panel } from '../components/Panel';
import { download } from '../document/download';
import { useSession } from '../document/SessionContext';
import { materials } from '../words/build';
import { counted, labelOf } from '../words/words';
import { useBuild } from './useBuild';

/** Every panel with its cut size, to be chosen. */
export function CutList({ chosen, onChoose }: { chosen: string | undefined; onChoose: (mark: string) => void }) {
  const { view, job, fine, unit } = useBuild();
  const session = useSession();
  if (!view) return null;
  return (
    <Panel
      title="Cut list"
      className="wide"
      note="Banding is taken off"
      actions={
        <select
          className="form-select form-select-sm"
          aria-label="Take the cut list along"
          value=""
          onChange={(event) => void download(session, `/api/jobs/${job.id}/${event.target.value}`)}
        >
          <option value="">Take along</option>
          <option value="cut.pdf">List and sheets, PDF</option>
          <option value="build.xlsx">Workbook, XLSX</option>
          <option value="cut.csv">List, CSV</option>
          <option value="cut-dxf.zip">Sheets and panels, DXF</option>
          <option value="cut.svg">Sheets, SVG</option>
        </select>
      }
    >
      <div className="table-wrap">
        <table className="sheet-table cut-list" aria-label="Cut list">
          <thead>
            <tr>
              <th scope="col">Mark</th>
              <th scope="col">Panel</th>
              <th scope="col" className="over-figures">
                Length {unit('length')}
              </th>
              <th scope="col" className="over-figures">
                Width {unit('length')}
              </th>
              <th scope="col" className="over-figures">
                Thick {unit('length')}
              </th>
              <th scope="col">Of</th>
              <th scope="col">Notes</th>
            </tr>
          </thead>
          <tbody>
            {view.panels.map((p, i) => {
              const first = i === 0 || view.panels[i - 1]?.module !== p.module;
              return [
                first && (
                  <tr key={`head ${p.module}`} className="list-head">
                    <th scope="rowgroup" colSpan={7}>
                      {p.of}
                    </th>
                  </tr>
                ),
                <tr key={p.mark} className={p.mark === chosen ? 'is-chosen' : ''} data-panel={p.mark}>
                  <th scope="row">
                    <button
                      type="button"
                      className="link"
                      aria-pressed={p.mark === chosen}
                      onClick={() => onChoose(p.mark)}
                    >
                      {p.mark}
                    </button>
                  </th>
                  <td>{p.name}</td>
                  <td className="figure">{fine(p.cutLength)}</td>
                  <td className="figure">{fine(p.cutWidth)}</td>
                  <td className="figure">{fine(p.thickness)}</td>
                  <td>{labelOf(materials, p.material)}</td>
                  <td>
                    {[
                      !p.here && 'made elsewhere',
                      p.grain !== '' && `grain ${p.grain}`,
                      p.bandLong + p.bandShort > 0 && 'banded',
                      p.holes.length > 0 && counted(p.holes.length, 'hole'),
                      p.drilled.length > 0 && `${counted(p.drilled.length, 'screw hole')}`,
                      p.ends.length > 0
                        ? `tapered: ${p.ends.map(fine).join(' high at the front, ')} at the rear`
                        : p.outline.length > 0 && 'cut to shape',
                      p.scribed && 'fit by hand',
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </td>
                </tr>,
              ];
            })}
          </tbody>
        </table>
      </div>
    </Panel>
  );
}
