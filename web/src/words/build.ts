import type { CutPanel, Goods, Hole, MakeWay, Build } from '../api/types';

type Options<T extends string> = { value: T; label: string }[];

export const materials: Options<CutPanel['material']> = [
  { value: 'plywood', label: 'Plywood' },
  { value: 'foam-core', label: 'Foam core' },
  { value: 'aluminium', label: 'Aluminium' },
  { value: 'extrusion', label: 'Panel for profile' },
];

export const hows: Options<MakeWay['how']> = [
  { value: 'here', label: 'Made here' },
  { value: 'bought', label: 'Bought' },
  { value: 'out', label: 'Made elsewhere' },
  { value: 'reused', label: 'Reused' },
];

export const goodsKinds: Options<Goods['what']> = [
  { value: 'runner-ball', label: 'Ball runners' },
  { value: 'runner-roller', label: 'Roller runners' },
  { value: 'runner-strip', label: 'Runner strips' },
  { value: 'hinge', label: 'Hinges' },
  { value: 'hinge-block', label: 'Hinge blocks' },
  { value: 'strut', label: 'Gas struts' },
  { value: 'latch', label: 'Latches' },
  { value: 'handle', label: 'Handles' },
  { value: 'screw', label: 'Screws' },
  { value: 'bracket', label: 'Brackets' },
  { value: 'bolt', label: 'Bolts' },
  { value: 'slot-nut', label: 'Slot nuts' },
  { value: 'fixing', label: 'Fixings' },
  { value: 'adhesive', label: 'Adhesive, L' },
  { value: 'paint', label: 'Paint or oil, L' },
  { value: 'lining', label: 'Lining, m²' },
  { value: 'edging', label: 'Edging, m' },
  { value: 'sealant', label: 'Sealant' },
  { value: 'other', label: 'Other' },
];

export const grains: Options<CutPanel['grain']> = [
  { value: '', label: 'As the saw likes it' },
  { value: 'along', label: 'Along the longer side' },
  { value: 'across', label: 'Along the shorter side' },
];

export const finishes: Options<'' | 'paint' | 'oil'> = [
  { value: '', label: 'As it comes' },
  { value: 'paint', label: 'Painted' },
  { value: 'oil', label: 'Oiled' },
];

export const holeKinds: Options<Hole['for']> = [
  { value: 'handle', label: 'Handle' },
  { value: 'finger', label: 'Finger grip' },
  { value: 'cable', label: 'Cable' },
  { value: 'vent', label: 'Vent' },
  { value: 'device', label: 'Device' },
  { value: 'drain', label: 'Drain' },
  { value: 'other', label: 'Other' },
];

export const skills: Options<Build['makers'][number]['skill']> = [
  { value: 'all', label: 'All but electric' },
  { value: 'joinery', label: 'Joinery' },
  { value: 'metal', label: 'Metal' },
  { value: 'paint', label: 'Paint' },
  { value: 'electric', label: 'Electric' },
];

export const screwKinds: Options<Build['shop']['screws']> = [
  { value: '', label: 'Not said' },
  { value: 'zinc', label: 'Zinc-plated' },
  { value: 'a2', label: 'Stainless A2' },
  { value: 'a4', label: 'Stainless A4' },
];

/** Operations as their pace is listed. */
export const works: Record<string, string> = {
  level: 'Level',
  measure: 'Measure',
  saw: 'Saw',
  edge: 'Band edges',
  drill: 'Drill and rout',
  glue: 'Glue and screw',
  assemble: 'Weld or assemble',
  frame: 'Frame',
  sand: 'Sand',
  paint: 'Paint or oil',
  lining: 'Line',
  runners: 'Runners',
  hinge: 'Hinges',
  weigh: 'Weigh',
  fit: 'Fit',
  wire: 'Wire',
  plumb: 'Plumb',
  torque: 'Torque',
  clean: 'Clean up',
  decide: 'Decide',
};
