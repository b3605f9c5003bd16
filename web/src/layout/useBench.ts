import { useMemo, useState } from 'react';

import type { Box, Finding } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { around, partsOf } from './parts';
import { fitSight, type Sight, type Sizes } from './window';

/** What the bench shows and what is chosen on it; nothing of it is part of the job. */
export function useBench(sizes: Sizes, focus: string) {
  const snapshot = useSnapshot();
  const { job, assessment } = snapshot;
  const [selected, setSelected] = useState<string[]>([]);
  const [hidden, setHidden] = useState<string[]>([]);
  const [open, setOpen] = useState<string[]>([]);
  /** How far what is open has come out, 0 to 1. */
  const [sweep, setSweep] = useState(1);
  const [moved, setSight] = useState<Sight>();
  /** Id of the stance that is shown; empty for the road. */
  const [wanted, setStance] = useState('');
  /** The finding whose measure is drawn in. */
  const [pointed, setPointed] = useState<Finding>();
  const all = useMemo(() => partsOf(snapshot), [snapshot]);
  const posture = assessment?.handling.stances.find((s) => s.id === wanted);
  const stance = posture?.id ?? '';
  const fitted = useMemo(() => {
    if (!assessment) return undefined;
    const inFocus =
      assessment.bays.find((b) => b.id === focus)?.room ?? assessment.bench.find((p) => p.id === focus)?.box;
    if (inFocus) return fitSight(inFocus, sizes);
    const bays = assessment.bays.filter((b) => b.box.length > 0 && b.box.width > 0).map((b) => b.room);
    const { outline } = job.vehicle;
    const body: Box = {
      from: { x: outline.headboard, y: -900, z: outline.floorHeight - 100 },
      to: { x: assessment.wheelbase + outline.rearOverhang, y: 900, z: outline.height },
    };
    return fitSight(around(bays) ?? body, sizes);
  }, [assessment, job.vehicle, sizes, focus]);
  // The sight is kept while parts are dragged: another job, focus or view fits it anew.
  const looked = `${job.id} ${focus} ${Object.keys(sizes).join()}`;
  const [kept, setKept] = useState<{ looked: string; sight: Sight }>();
  if (fitted && kept?.looked !== looked) {
    setKept({ looked, sight: fitted });
    setSight(undefined);
  }
  const sight = moved ?? kept?.sight;
  const alive = selected.filter((id) => all.some((p) => p.item.id === id));
  // In a stance, what was carried out or put elsewhere is drawn where it is then.
  const standing = useMemo(() => {
    if (!posture || posture.parts.length === 0) return all;
    const places = new Map(posture.parts.map((p) => [p.id, p]));
    return all
      .filter((p) => !places.get(p.item.id)?.outside)
      .map((p) => {
        const place = places.get(p.item.in?.module ?? p.item.id);
        if (!place) return p;
        const holder = all.find((h) => h.item.id === place.id);
        const by = holder
          ? {
              x: place.box.from.x - holder.box.from.x,
              y: place.box.from.y - holder.box.from.y,
              z: place.box.from.z - holder.box.from.z,
            }
          : { x: 0, y: 0, z: 0 };
        const moved = (at: Box['from']) => ({ x: at.x + by.x, y: at.y + by.y, z: at.z + by.z });
        return { ...p, box: { from: moved(p.box.from), to: moved(p.box.to) } };
      });
  }, [all, posture]);
  const parts = standing.filter(
    ({ item }) =>
      !hidden.includes(item.id) &&
      (!item.in || alive.includes(item.in.module) || alive.includes(item.id) || open.includes(item.in.module)),
  );
  return {
    ...snapshot,
    parts,
    all,
    sight,
    selected: alive,
    setSelected,
    hidden,
    setHidden,
    open,
    setOpen,
    sweep,
    setSweep,
    stance,
    setStance,
    posture,
    pointed,
    setPointed,
    setSight,
    fit: () => {
      setSight(undefined);
      if (fitted) setKept({ looked, sight: fitted });
    },
  };
}

export type Bench = ReturnType<typeof useBench>;
