import { useState } from 'react';
import { useSearchParams } from 'react-router';

import type { CutGroup, Sheet } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { newId } from '../document/things';
import { materials } from '../words/build';
import { counted, labelOf } from '../words/words';
import { BarsCard } from './BarsCard';
import { CutList } from './CutList';
import { PieceCard } from './PieceCard';
import { SheetPicture } from './SheetPicture';
import { useBuild } from './useBuild';

/** The sheets as pictures, with what is cut from each. */
export function CutSheet() {
  const { view, share, stop, build, line, edit, fine, area, unit } = useBuild();
  const [search, setSearch] = useSearchParams();
  const [cuts, setCuts] = useState(false);
  const chosen = search.get('part') ?? undefined;
  const choose = (mark: string) => setSearch(mark === chosen ? {} : { part: mark }, { replace: true });
  if (!view) return null;
  const panel = view.panels.find((p) => p.mark === chosen);
  const sheets = view.groups.reduce((n, g) => n + g.sheets.length, 0);
  return (
    <>
      <Panel
        title="Sheets"
        className="wide"
        note={
          view.panels.length === 0
            ? ''
            : `${counted(
                view.groups.reduce((n, g) => n + g.pieces.length, 0),
                'piece',
              )} from ${counted(sheets, 'sheet')}`
        }
        actions={
          <>
            {share !== undefined && (
              <>
                <progress max={1} value={share} aria-label="Looking for fewer sheets" />
                <button type="button" className="btn btn-sm btn-outline-secondary" onClick={stop}>
                  Stop looking
                </button>
              </>
            )}
            <label className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={cuts}
                onChange={(event) => setCuts(event.target.checked)}
              />
              Order of cuts
            </label>
          </>
        }
      >
        <div className="shop-line">
          {line('Saw takes', build.shop.kerf, 'length', (b, v) => (b.shop.kerf = v))}
          {line('Off each edge of a new sheet', build.shop.trim, 'length', (b, v) => (b.shop.trim = v))}
          <Field label="Pieces">
            <label className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={build.shop.turn}
                onChange={(event) => edit('Turn pieces', (b) => (b.shop.turn = event.target.checked))}
              />
              may be turned where grain does not matter
            </label>
          </Field>
        </div>
        {view.groups.length === 0 && view.bars.length === 0 && (
          <p className="empty">
            Nothing of this variant is made here: its parts are bought or reused. Give a part a material on the bench
            (Layout, the part, Built of), and its panels appear here.
          </p>
        )}
        {view.groups.map((g) => (
          <section
            key={`${g.material} ${g.thickness}`}
            className="cut-group"
            aria-label={groupName(g, fine, unit('length'))}
          >
            <h3>
              {groupName(g, fine, unit('length'))}
              <small className="figure">
                {counted(g.pieces.length, 'piece')}, {area(g.area)}, {counted(g.sheets.length, 'sheet')}; {proof(g)}
              </small>
            </h3>
            {g.assumed && <p className="hint">No sheet of it is on the list under Buy; this size is assumed.</p>}
            {g.left.length > 0 && (
              <p className="trouble" role="alert">
                No sheet for {g.left.map((k) => view.panels[k]?.mark).join(', ')}.
              </p>
            )}
            <div className="sheet-pictures">
              {g.sheets.map((s, k) => (
                <figure key={k} style={{ width: `${(100 * s.length) / longest(g)}%` }}>
                  <SheetPicture
                    sheet={s}
                    number={k + 1}
                    panels={view.panels}
                    chosen={chosen}
                    cuts={cuts}
                    letter={longest(g) / LETTERS}
                    fine={fine}
                    onChoose={choose}
                  />
                  <figcaption>
                    {s.name}
                    {s.place !== '' && `, ${s.place}`}: {Math.round(100 * s.used)} % used
                    {s.rests.map((r, n) => (
                      <button
                        key={n}
                        type="button"
                        className="chip"
                        title="Put this rest on the list of offcuts"
                        onClick={() =>
                          edit('Keep an offcut', (b) =>
                            b.sheets.push({
                              ...keptOf(g, r),
                              id: newId(b.sheets, 'offcut'),
                              name: `Offcut of ${s.name.charAt(0).toLowerCase()}${s.name.slice(1)}`,
                              grained: b.sheets.find((x) => x.id === s.sheet)?.grained ?? false,
                            }),
                          )
                        }
                      >
                        Keep {fine(r.length)} × {fine(r.width)} {unit('length')}
                      </button>
                    ))}
                  </figcaption>
                </figure>
              ))}
            </div>
          </section>
        ))}
      </Panel>
      {panel && <PieceCard panel={panel} />}
      {view.bars.length > 0 && <BarsCard />}
      {view.panels.length > 0 && <CutList chosen={chosen} onChoose={choose} />}
    </>
  );
}

const groupName = (g: CutGroup, fine: (mm: number) => string, unit: string) =>
  `${labelOf(materials, g.material)} ${fine(g.thickness)} ${unit}`;

/** How many letters are as long as the longest sheet of a group. */
const LETTERS = 46;

/** The longest sheet of a group: all are drawn to one scale. */
const longest = (g: CutGroup) => Math.max(...g.sheets.map((s) => s.length));

/** A rest as it is kept. */
const keptOf = (g: CutGroup, r: { length: number; width: number }): Omit<Sheet, 'id' | 'name'> => ({
  of: g.material,
  thickness: g.thickness,
  measured: 0,
  length: r.length,
  width: r.width,
  grained: false,
  price: 0,
  have: 1,
  more: false,
  offcut: true,
  place: '',
  supply: { from: '', number: '', days: 0 },
});

/** How sure it is that fewer sheets are not possible. */
function proof(g: CutGroup): string {
  if (g.sheets.length === 0) return 'nothing is cut';
  if (g.proven) return 'fewer are not possible';
  return `at least ${g.bound} by area`;
}
