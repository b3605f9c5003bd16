import { useState } from 'react';

import type { Job, Proposal, ProposeLine, Wishes } from '../api/types';
import { useLines } from '../api/useLines';
import { AskGo } from '../components/AskGo';
import { Panel } from '../components/Panel';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { newId } from '../document/things';
import { formatQuantity } from '../quantity/format';
import { VariantPicture } from './VariantPicture';

type Aim = Wishes['aims'][number];

const aimWords: Record<Aim, string> = {
  'rear-axle': 'Little on the rear axle',
  low: 'Mass low down',
  sides: 'Left and right alike',
  access: 'Daily things near and low',
  steps: 'Few steps to daily things',
  room: 'Room in drawers',
};

/** How many parts are ticked to begin with. */
const TICKED = 12;

/** Asks for arrangements of the parts that may be placed anew. */
export function AskPanel() {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const [aims, setAims] = useState<Aim[]>(['rear-axle', 'low', 'sides', 'access', 'steps', 'room']);
  const [picked, setPicked] = useState<string[]>();
  const { ask, stop, share, last, trouble } = useLines<ProposeLine>('/api/propose');
  const found = last?.proposals;
  const [kept, setKept] = useState<string[]>([]);
  const walls = new Set(assessment?.bays.filter((b) => b.box.length > 0 && b.box.height > 0).map((b) => b.id));
  const parts = chosenVariant(job).items.filter((i) => i.module && !i.in && !i.locked && walls.has(i.bay));
  const massOf = (id: string) => assessment?.items.find((f) => f.id === id)?.mass ?? 0;
  const usual = [...parts]
    .sort((a, b) => massOf(b.id) - massOf(a.id))
    .slice(0, TICKED)
    .map((i) => i.id);
  const ticked = (picked ?? usual).filter((id) => parts.some((p) => p.id === id));
  const move = (at: number, by: number) => {
    const next = [...aims];
    const [aim] = next.splice(at, 1);
    if (aim) next.splice(at + by, 0, aim);
    setAims(next);
  };
  const keep = (proposal: Proposal, adopt: boolean) => {
    const name = proposal.job.variants.find((v) => v.id === proposal.job.chosen)?.name ?? 'Proposal';
    session.edit(adopt ? `Adopt ${name}` : `Keep ${name}`, (j) => addVariant(j, proposal, adopt));
    setKept([...kept, name]);
  };
  return (
    <Panel title="Ask for an arrangement" note="Fixed and locked parts stay; every hard rule holds in every stance">
      <div className="ask">
        <fieldset>
          <legend>What counts most</legend>
          <ol className="aims">
            {aims.map((aim, at) => (
              <li key={aim} data-aim={aim}>
                <span>{aimWords[aim]}</span>
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`${aimWords[aim]} counts more`}
                  disabled={at === 0}
                  onClick={() => move(at, -1)}
                >
                  <i className="bi bi-arrow-up" aria-hidden />
                </button>
                <button
                  type="button"
                  className="icon-button"
                  aria-label={`${aimWords[aim]} counts less`}
                  disabled={at === aims.length - 1}
                  onClick={() => move(at, 1)}
                >
                  <i className="bi bi-arrow-down" aria-hidden />
                </button>
              </li>
            ))}
          </ol>
        </fieldset>
        <fieldset>
          <legend>
            What may be placed anew{' '}
            <span className="hint">
              {ticked.length} of {parts.length}
            </span>
          </legend>
          {parts.length === 0 && (
            <p className="hint">
              No part stands in a measured space yet. Add parts on the bench; where they stand does not matter.
            </p>
          )}
          <div className="ask-parts">
            {parts.map((i) => (
              <label key={i.id} className="switch-line">
                <input
                  type="checkbox"
                  className="form-check-input"
                  aria-label={`Place ${i.name} anew`}
                  checked={ticked.includes(i.id)}
                  onChange={(event) =>
                    setPicked(event.target.checked ? [...ticked, i.id] : ticked.filter((id) => id !== i.id))
                  }
                />
                {i.name}
              </label>
            ))}
          </div>
        </fieldset>
        <AskGo
          label="Propose"
          share={share}
          disabled={ticked.length === 0}
          onAsk={() => void ask({ wishes: { parts: ticked, aims }, job })}
          onStop={stop}
        />
      </div>
      {trouble !== '' && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {found && found.impossible !== '' && (
        <p className="notice" role="status">
          <span>{found.impossible}</span>
        </p>
      )}
      <div className="proposals">
        {found?.found.map((proposal) => {
          const v = proposal.job.variants.find((x) => x.id === proposal.job.chosen);
          const name = v?.name ?? '';
          return (
            <article key={name} className="proposal" data-proposal={name} aria-label={name}>
              <h3>{name}</h3>
              <VariantPicture
                job={proposal.job}
                variant={proposal.job.chosen}
                parts={proposal.figures.parts}
                label={name}
              />
              <p>{proposal.sentence}</p>
              <p className="hint">
                {proposal.figures.pads
                  .map((pad) => `${pad.title} ${formatQuantity(pad.load, 'mass', job.units)}`)
                  .join(', ')}
                ; {proposal.figures.stops} stop, {proposal.figures.cautions} caution.{' '}
                {proposal.proven
                  ? 'No arrangement of the places looked at is better.'
                  : 'There may be better ones; the search was not exhaustive.'}
              </p>
              {kept.includes(name) ? (
                <p className="hint">Kept as a variant.</p>
              ) : (
                <div className="proposal-actions">
                  <button
                    type="button"
                    className="btn btn-sm btn-primary"
                    aria-label={`Adopt ${name}`}
                    onClick={() => keep(proposal, true)}
                  >
                    Adopt
                  </button>
                  <button
                    type="button"
                    className="btn btn-sm btn-outline-primary"
                    aria-label={`Keep ${name}`}
                    onClick={() => keep(proposal, false)}
                  >
                    Keep as a variant
                  </button>
                </div>
              )}
            </article>
          );
        })}
      </div>
    </Panel>
  );
}

/** Puts the arrangement of a proposal into the job as a further variant. */
function addVariant(job: Job, proposal: Proposal, adopt: boolean): void {
  const variant = proposal.job.variants.find((v) => v.id === proposal.job.chosen);
  if (!variant) return;
  const id = newId(job.variants, 'proposal');
  job.variants.push({ ...variant, id, why: variant.why === '' ? proposal.sentence : variant.why });
  if (adopt) job.chosen = id;
}
