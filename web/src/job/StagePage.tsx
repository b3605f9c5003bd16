import type { ReactNode } from 'react';
import { Outlet } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';

/** What a stage asked the server for, once for all its sheets. */
export interface Asked {
  view: unknown;
  trouble: string;
}

interface Props {
  label: string;
  sheets: readonly { to: string; label: string; count?: string }[];
  /** What is said beside all sheets of the stage to keep people from harm. */
  caution: string;
  /** What the sheets show comes from it; absent where they need nothing but the job. */
  asked?: Asked;
  /** What is said until it has come. */
  waiting?: string;
  /** A thing that is shown in the drawing before what is chosen elsewhere. */
  chosen?: string | undefined;
  /** Above the sheets. */
  children?: ReactNode;
  /** Below the drawing. */
  drawn?: ReactNode;
}

/** The sheets of a stage, with the drawing and the findings beside them. */
export function StagePage({ label, sheets, caution, asked, waiting, chosen, children, drawn }: Props) {
  const { subject, selected, onSelect, onShow } = useShown();
  return (
    <div className="stage-page">
      <div>
        <SubNav label={label} sheets={sheets} />
        <div className="stage-forms">
          {asked && asked.trouble !== '' && (
            <p className="trouble" role="alert">
              {asked.trouble}
            </p>
          )}
          {children}
          {!asked || asked.view !== undefined ? (
            <Outlet context={asked} />
          ) : (
            asked.trouble === '' && (
              <p className="empty" aria-busy="true">
                {waiting}
              </p>
            )
          )}
        </div>
      </div>
      <Scroll label="Drawing and findings" className="beside">
        <Scene width={440} height={200} selected={chosen ?? selected} subject={subject} onSelect={onSelect} />
        {drawn}
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
        <p className="hint power-caution">{caution}</p>
      </Scroll>
    </div>
  );
}
