import { useState } from 'react';

import type { CutPanel } from '../api/types';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { downloading } from '../document/download';
import { useSession } from '../document/SessionContext';
import { counted } from '../words/words';
import { useBuild } from './useBuild';

const papers = [
  { value: 'a4', label: 'A4' },
  { value: 'a3', label: 'A3' },
  { value: 'letter', label: 'Letter' },
] as const;

const labelSheets = [
  { value: '24', label: '24 to a sheet, A4, 70 × 37 mm' },
  { value: '14', label: '14 to a sheet, A4, 99 × 38 mm' },
  { value: '30', label: '30 to a sheet, letter, 2⅝ × 1 in' },
] as const;

/** Everything that goes on paper or to another machine. */
export function PapersSheet() {
  const { view, job } = useBuild();
  const session = useSession();
  const [paper, setPaper] = useState<(typeof papers)[number]['value']>('a4');
  const [labels, setLabels] = useState<(typeof labelSheets)[number]['value']>('24');
  const [panel, setPanel] = useState('');
  if (!view) return null;
  const link = (path: string, name: string, about: string) => (
    <li key={path}>
      <a href={`/api/jobs/${job.id}/${path}`} onClick={downloading(session, `/api/jobs/${job.id}/${path}`)}>
        {name}
      </a>
      <span className="hint">{about}</span>
    </li>
  );
  const holes = view.panels.filter((p) => p.here);
  const shaped = (p: CutPanel) => p.holes.length + p.drilled.length + p.outline.length > 0;
  const chosen = panel === '' ? ((holes.find(shaped) ?? holes[0])?.mark ?? '') : panel;
  const made = view.parts.filter((p) => p.panels.length > 0);
  return (
    <>
      <Panel title="For the saw and the router" className="wide">
        <ul className="papers">
          {link('cut.pdf', 'Cut list and sheets', 'PDF; every sheet with the order of its cuts')}
          {link('build.xlsx', 'Workbook', 'XLSX; cut list, bars, purchase, cost and steps, with sums as formulas')}
          {link('cut.csv', 'Cut list', 'CSV')}
          {link('cut-dxf.zip', 'Sheets and panels', 'DXF in mm, closed outlines; layers CUT, DRILL, MARK')}
          {link('cut.svg', 'Sheets', 'SVG, 1:10')}
        </ul>
      </Panel>
      <Panel title="For the bench" className="wide">
        <ul className="papers">
          {link('assembly.pdf', 'Assembly sheets', 'PDF; each part pulled apart, with the marks of its panels')}
          {link('steps.pdf', 'Steps', 'PDF; to tick, with parts, tools and cautions')}
          {link('tags.pdf', 'Tags', 'PDF; do not switch on, not yet torqued')}
          {made.map((p) =>
            link(
              `sheet.pdf?paper=${paper}&focus=${p.id}`,
              `Drawing of ${p.name.charAt(0).toLowerCase()}${p.name.slice(1)}`,
              'PDF; to scale, with measures and a title block',
            ),
          )}
        </ul>
        <div className="paper-line">
          <SelectField label="Paper" value={paper} options={papers} onCommit={setPaper} />
          <SelectField label="Label sheet" value={labels} options={labelSheets} onCommit={setLabels} />
          <a
            className="btn btn-sm btn-outline-primary"
            href={`/api/jobs/${job.id}/labels.pdf?sheet=${labels}&from=${encodeURIComponent(window.location.origin)}`}
            onClick={downloading(
              session,
              `/api/jobs/${job.id}/labels.pdf?sheet=${labels}&from=${encodeURIComponent(window.location.origin)}`,
            )}
          >
            Labels, PDF
          </a>
        </div>
      </Panel>
      <Panel
        title="Templates at full size"
        className="wide"
        note="Pages to glue together; measure the 100 mm line before cutting"
      >
        <ul className="papers">
          {job.vehicle.bays
            .filter((b) => b.lengthLeft > 0 || b.lengthRight > 0)
            .map((b) =>
              link(
                `template.pdf?of=${b.id}&paper=${paper}`,
                `Floor of ${b.name.charAt(0).toLowerCase()}${b.name.slice(1)}`,
                b.obstacles.some((o) => o.kind === 'wheel-arch')
                  ? 'as it was measured, its arches cut out'
                  : 'as it was measured',
              ),
            )}
        </ul>
        {holes.length > 0 && (
          <div className="paper-line">
            <SelectField
              label="Panel of the template"
              value={chosen}
              options={holes.map((p) => ({
                value: p.mark,
                label: `${p.mark} ${p.name} of ${p.of}${p.holes.length + p.drilled.length > 0 ? `, ${counted(p.holes.length + p.drilled.length, 'hole')}` : ''}${p.outline.length > 0 ? ', shaped' : ''}`,
              }))}
              onCommit={setPanel}
            />
            <a
              className="btn btn-sm btn-outline-primary"
              href={`/api/jobs/${job.id}/template.pdf?of=${chosen}&paper=${paper}`}
              onClick={downloading(session, `/api/jobs/${job.id}/template.pdf?of=${chosen}&paper=${paper}`)}
            >
              Template, PDF
            </a>
          </div>
        )}
      </Panel>
      <Panel title="For the customer and the suppliers" className="wide">
        <ul className="papers">
          {link('quote.pdf', 'Quote', 'PDF')}
          {link('buy.pdf', 'Purchase list', 'PDF')}
          {link('buy.csv', 'Purchase list', 'CSV')}
          {link('prices.csv', 'Prices and stock', 'CSV; can be read in again')}
        </ul>
      </Panel>
    </>
  );
}
