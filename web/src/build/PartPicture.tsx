import type { BuildView, CutPanel } from '../api/types';
import { Panel } from '../components/Panel';
import { Solids } from './Solids';

/** A part with one of its panels dark, so that it is known where the panel goes. */
export function PartPicture({ view, panel }: { view: BuildView; panel: CutPanel }) {
  return (
    <Panel
      title={`${panel.mark} ${panel.name}`}
      className="side"
      note={panel.of}
      actions={
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => document.querySelector('.piece-card')?.scrollIntoView({ block: 'start' })}
        >
          How it is built
        </button>
      }
    >
      <Solids
        view={view}
        module={panel.module}
        dark={new Set([panel.mark])}
        label={`Where ${panel.name} is in ${panel.of}`}
      />
    </Panel>
  );
}
