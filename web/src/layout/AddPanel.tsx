import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { Component } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { useSession } from '../document/SessionContext';
import { formatNumber, formatQuantity } from '../quantity/format';
import { unitName } from '../quantity/units';
import type { Bench } from './useBench';

/** What is told stands above a long list that may be scrolled. */
const intoSight = (element: HTMLElement | null) => element?.scrollIntoView({ block: 'nearest' });

/** The generic components, to be placed in a space. */
export function AddPanel({ bench, onAdded }: { bench: Bench; onAdded: () => void }) {
  const session = useSession();
  const { job, assessment } = bench;
  const [search, setSearch] = useState('');
  const [group, setGroup] = useState('');
  const [into, setInto] = useState<string>();
  const [trouble, setTrouble] = useState('');
  /** What could not be added, and why. */
  const [refused, setRefused] = useState<{ component: Component; why: string; fits: boolean }>();
  const file = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  /** Changes the workshop's own components and shows them anew; a refusal is told in the server's words. */
  const change = (act: () => Promise<unknown>) =>
    act().then(
      () => {
        setTrouble('');
        return client.invalidateQueries({ queryKey: ['components'] });
      },
      (e: unknown) =>
        setTrouble(e instanceof Refused ? e.message : 'The server does not answer; the catalogue is unchanged.'),
    );
  const { data: components, error } = useQuery({
    queryKey: ['components'],
    queryFn: () => answer(api.GET('/api/components')),
    staleTime: Infinity,
  });
  const groups = [...new Set((components ?? []).map((c) => c.item.group))];
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = (components ?? []).filter(
    (c) => (group === '' || c.item.group === group) && words.every((word) => c.item.name.toLowerCase().includes(word)),
  );
  const bays = assessment?.bays ?? [];
  const target = bays.find((b) => b.id === (into ?? bays[0]?.id));
  const add = async (component: Component, anyway = false) => {
    let id = '';
    let proposed: string[] = [];
    try {
      await session.derive(`Add ${component.item.name}`, async (j) => {
        const added = await answer(
          api.POST('/api/bench/add', { body: { component: component.id, bay: target?.id ?? '', anyway, job: j } }),
        );
        id = added.id;
        proposed = added.proposed;
        return added.job;
      });
    } catch (e) {
      setRefused({
        component,
        why: e instanceof Refused ? e.message : 'The server does not answer; nothing was added.',
        fits: !(e instanceof Refused),
      });
      return;
    }
    setRefused(undefined);
    bench.setSelected([id]);
    if (proposed.length > 0)
      session.tell(`Proposed with it: ${proposed.join(', ')}. Check each before it is built or drilled.`);
    onAdded();
  };
  const size = (c: Component) =>
    [c.item.size.length, c.item.size.width, c.item.size.height]
      .map((mm) => formatNumber(mm, 'length', job.units))
      .join(' × ');
  return (
    <div className="add-panel" data-panel="add">
      <div className="form">
        <SelectField
          label="Add into"
          value={target?.id ?? ''}
          options={
            job.vehicle.bays.length > 0
              ? job.vehicle.bays.map((b) => ({ value: b.id, label: b.name }))
              : [{ value: '', label: 'No measured space yet' }]
          }
          onCommit={setInto}
        />
        <input
          type="search"
          className="form-control form-control-sm"
          aria-label="Search components"
          placeholder="Search components"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <SelectField
          label="Group of components"
          value={group}
          options={[{ value: '', label: 'All groups' }, ...groups.map((g) => ({ value: g, label: g }))]}
          onCommit={setGroup}
        />
      </div>
      {refused && (
        <div key={refused.component.id} ref={intoSight} className="not-added" role="alert">
          <p>{refused.why}</p>
          {!refused.fits && target && (
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              onClick={() => void add(refused.component, true)}
            >
              Add it anyway
            </button>
          )}
        </div>
      )}
      {error && (
        <p className="trouble" role="alert">
          The server does not answer; the components appear when it does.
        </p>
      )}
      <ul className="components" aria-label="Components">
        {shown.map((c) => (
          <li key={`${c.own} ${c.id}`} className={c.own ? 'own' : undefined}>
            <button type="button" onClick={() => void add(c)} title={c.why} data-component={c.id}>
              <span>{c.item.name}</span>
              <small className="figure">
                {size(c)} {unitName('length', job.units)}
                {c.item.mass > 0 ? `, ${formatQuantity(c.item.mass, 'mass', job.units)}` : ', by its panels'}
              </small>
            </button>
            {c.own && (
              <RemoveButton
                label={`Take ${c.item.name} out of the catalogue`}
                onClick={() =>
                  void change(() => answer(api.DELETE('/api/components/{id}', { params: { path: { id: c.id } } })))
                }
              />
            )}
          </li>
        ))}
      </ul>
      {components && shown.length === 0 && (
        <p className="empty">Nothing of that name. Shorten the search, or add the nearest and change its size.</p>
      )}
      <div className="form own-catalogue" hidden={!components && !error}>
        <b>The workshop’s own</b>
        <p className="hint">Keep a part from its sheet; carry them to another installation as a file.</p>
        {trouble !== '' && (
          <p className="trouble" role="alert">
            {trouble}
          </p>
        )}
        <div className="sheet-actions">
          <a className="btn btn-sm btn-outline-secondary" href="/api/catalogue.json" download>
            JSON
          </a>
          <a className="btn btn-sm btn-outline-secondary" href="/api/catalogue.csv" download>
            CSV
          </a>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => file.current?.click()}>
            Read a file
          </button>
          <input
            ref={file}
            type="file"
            hidden
            accept=".json,.csv"
            aria-label="Catalogue file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = '';
              if (chosen)
                void change(async () => answer(api.POST('/api/components', { body: { text: await chosen.text() } })));
            }}
          />
        </div>
      </div>
      <p className="hint">Generic sizes and masses, of no brand: replace them by what is measured and weighed.</p>
    </div>
  );
}
