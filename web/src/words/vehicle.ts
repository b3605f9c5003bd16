import type { Bay, BodyMount, Modification, MoreOpening, Obstacle } from '../api/types';

/** The words by which the vehicle's choices are offered. */
type Options<T extends string> = readonly { value: T; label: string }[];

export const modificationKinds: Options<Modification['kind']> = [
  { value: 'gross-upgrade', label: 'Gross-mass upgrade' },
  { value: 'axle-rating', label: 'Axle rating change' },
  { value: 'springs', label: 'Springs' },
  { value: 'airbags', label: 'Helper airbags' },
  { value: 'tyres', label: 'Tyres' },
  { value: 'roof-rack', label: 'Roof rack' },
  { value: 'bar', label: 'Bar' },
  { value: 'winch', label: 'Winch' },
  { value: 'long-range-tank', label: 'Long-range tank' },
  { value: 'towing', label: 'Towing bracket' },
  { value: 'other', label: 'Other work' },
];

export const certificates: Options<Modification['certificate']> = [
  { value: 'not-needed', label: 'None needed' },
  { value: 'planned', label: 'Planned' },
  { value: 'before-first', label: 'Certified before first registration' },
  { value: 'after-first', label: 'Certified after first registration' },
];

export const axles: Options<Modification['axle']> = [
  { value: 'none', label: 'No axle' },
  { value: 'front', label: 'Front axle' },
  { value: 'rear', label: 'Rear axle' },
  { value: 'both', label: 'Both axles' },
];

export const faces: Options<Bay['opening']['face']> = [
  { value: 'none', label: 'No door' },
  { value: 'rear', label: 'Rear' },
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
  { value: 'front', label: 'Front' },
  { value: 'top', label: 'Top' },
];

export const hinges: Options<Bay['opening']['hinge']> = [
  { value: 'none', label: 'Open, no door' },
  { value: 'top', label: 'Hinged at the top' },
  { value: 'bottom', label: 'Hinged at the bottom' },
  { value: 'left', label: 'Hinged left' },
  { value: 'right', label: 'Hinged right' },
  { value: 'lift-off', label: 'Lifts off' },
  { value: 'roll', label: 'Rolls' },
];

/** What a further opening of a space is for. */
export const openingUses: Options<MoreOpening['use']> = [
  { value: 'load', label: 'loads' },
  { value: 'exit', label: 'a way out' },
  { value: 'air', label: 'air' },
  { value: 'sight', label: 'sight' },
];

export const coverings: Options<MoreOpening['cover']> = [
  { value: '', label: 'cover not said' },
  { value: 'yes', label: 'covered' },
  { value: 'no', label: 'not covered' },
];

export const bodyMountKinds: Options<BodyMount['kind']> = [
  { value: 'rigid', label: 'rigid' },
  { value: 'rubber', label: 'on rubber' },
  { value: 'sprung', label: 'on a spring' },
  { value: 'pivot', label: 'pivot' },
];

export const obstacleKinds: Options<Obstacle['kind']> = [
  { value: 'wheel-arch', label: 'Wheel arch' },
  { value: 'strut', label: 'Strut' },
  { value: 'lip', label: 'Lip' },
  { value: 'step', label: 'Step' },
  { value: 'other', label: 'Other' },
];

export const sides: Options<Obstacle['side']> = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
];
