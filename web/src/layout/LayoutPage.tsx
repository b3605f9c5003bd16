import { lazy, Suspense, useCallback, useEffect, useState } from 'react';
import Tab from 'react-bootstrap/Tab';
import { Link, useLocation } from 'react-router';

import { Scroll } from '../components/Scroll';
import { SideTabs } from '../components/SideTabs';
import type { Finding } from '../api/types';
import type { Stand } from '../scene/projection';
import { findingsHidden } from '../document/exercise';
import { Findings } from '../findings/Findings';
import { AddPanel } from './AddPanel';
import { BenchView } from './BenchView';
import { GearPanel } from './GearPanel';
import { PartPanel } from './PartPanel';
import { RulesPanel } from './RulesPanel';
import { KeyList } from '../scene/KeyList';
import { StancePanel } from './StancePanel';
import { StandBar } from './StandBar';
import { faceAt, type Tape } from './tape';
import { Toolbar } from './Toolbar';
import { useBench } from './useBench';
import { useBenchDrawing } from './useBenchDrawing';
import { useSeeing } from './useSeeing';

const SWEEP_MS = 1400;

/** Its library is large, and comes only when somebody walks round. */
const RoundView = lazy(() => import('../round/RoundView'));

/** The bench: modules placed in the measured spaces, with the pads live. */
export function LayoutPage() {
  const seeing = useSeeing();
  const bench = useBench(seeing.sizes, seeing.focus);
  const { drawn, standing } = useBenchDrawing(bench, seeing);
  const [tab, setTab] = useState('add');
  const [tape, setTape] = useState<Tape>();
  const { job, assessment, all, selected, setSelected, setSweep, setStance, setPointed } = bench;
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) return;
    const start = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      const share = Math.min(1, (now - start) / SWEEP_MS);
      setSweep(share);
      if (share < 1) frame = requestAnimationFrame(step);
      else setPlaying(false);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, setSweep]);
  // A finding leads here with what it is about behind the #.
  const { hash, key, state } = useLocation() as { hash: string; key: string; state: { rule?: string } | null };
  const [wanted, setWanted] = useState('');
  if (hash !== '' && wanted !== key && assessment) {
    setWanted(key);
    setSelected([hash.slice(1)]);
    const finding = assessment.findings.find((f) => f.rule === state?.rule && f.subject.id === hash.slice(1));
    setPointed(finding);
    if (finding) setStance(finding.stance);
  }
  // What is chosen is what one wants to read about.
  const chosen = selected.at(-1);
  const [shown, setShown] = useState(chosen);
  if (chosen !== shown) {
    setShown(chosen);
    if (chosen !== undefined && tab !== 'gear' && tab !== 'findings' && tab !== 'stances') setTab('part');
  }
  // Pressed again, a part is what one wants to read about, whatever else is open.
  const onTouch = useCallback(() => {
    setTab((now) => (now === 'gear' || now === 'stances' ? now : 'part'));
    setPointed(undefined);
  }, [setPointed]);
  const onShow = useCallback(
    (finding: Finding) => {
      const { subject } = finding;
      if (subject.kind === 'item' || subject.kind === 'module') setSelected([subject.id]);
      setStance(finding.stance);
      setPointed(finding);
    },
    [setSelected, setStance, setPointed],
  );
  const onPick = (view: Stand, at: { u: number; v: number }, reach: number) => {
    const boxes = [
      ...all.map((p) => p.box),
      ...(assessment?.bays ?? []).flatMap((b) => [b.room, ...b.obstacles.map((o) => o.solid)]),
    ];
    const end = faceAt(boxes, view, at, reach);
    if (!end) return;
    const first = tape?.[0];
    setTape(first && tape.length === 1 && first.view === view && first.along === end.along ? [first, end] : [end]);
  };
  const views = seeing.stands.map((stand) => (
    <BenchView
      key={stand}
      view={stand}
      {...(seeing.sizes[stand] ?? { width: 1, height: 1 })}
      bench={bench}
      seeing={seeing}
      drawn={drawn?.sheet.views.find((v) => v.stand === stand)}
      busy={drawn?.busy ?? true}
      before={drawn?.boxes ?? standing}
      now={standing}
      onTouch={onTouch}
      onPick={tape ? onPick : undefined}
      tape={tape ?? []}
    />
  ));
  return (
    <div className="layout-page">
      <div className="bench">
        <Toolbar
          bench={bench}
          seeing={seeing}
          taping={tape !== undefined}
          onTape={() => setTape(tape ? undefined : [])}
          onSweep={() => setPlaying(true)}
        />
        {job.vehicle.bays.length === 0 && (
          <p className="notice">
            <span>No space is measured yet, so nothing can be said about what fits.</span>
            <Link className="btn btn-sm btn-primary" to={`/jobs/${job.id}/vehicle/space`}>
              Measure a space
            </Link>
          </p>
        )}
        <StandBar bench={bench} seeing={seeing} />
        {seeing.arrangement === 'round' && (
          <Suspense fallback={<div className="scene round" aria-busy="true" />}>
            <RoundView bench={bench} seeing={seeing} />
          </Suspense>
        )}
        <div className={`bench-views ${views.length === 1 ? 'bench-single' : ''}`}>{views}</div>
        <KeyList sheet={drawn?.sheet} selected={selected} onSelect={(id) => setSelected([id])} />
      </div>
      <aside className="sheet side" aria-label="About the bench">
        <SideTabs id="bench" active={tab} onSelect={setTab}>
          <Tab eventKey="add" title="Add">
            <Scroll label="Add">
              <AddPanel bench={bench} onAdded={() => setTab('part')} />
            </Scroll>
          </Tab>
          <Tab eventKey="part" title="Part">
            <Scroll label="Part">
              <PartPanel bench={bench} />
            </Scroll>
          </Tab>
          <Tab eventKey="gear" title="Gear">
            <Scroll label="Gear">
              <GearPanel bench={bench} />
            </Scroll>
          </Tab>
          <Tab eventKey="stances" title="Stances">
            <Scroll label="Stances">
              <StancePanel bench={bench} />
            </Scroll>
          </Tab>
          <Tab eventKey="rules" title="Rules">
            <Scroll label="Rules">
              <RulesPanel bench={bench} />
            </Scroll>
          </Tab>
          <Tab
            eventKey="findings"
            title={`Findings ${findingsHidden(job) ? '?' : (assessment?.findings.length ?? '')}`}
          >
            <Scroll label="Findings">
              <Findings onShow={onShow} />
            </Scroll>
          </Tab>
        </SideTabs>
      </aside>
    </div>
  );
}
