import type { Entry, Handover } from '../api/types';

type PaperKind = Handover['papers'][number]['kind'];

export const paperKinds: readonly { value: PaperKind; label: string }[] = [
  { value: 'engineering', label: 'Engineer’s certificate' },
  { value: 'gas', label: 'Gas certificate' },
  { value: 'low-voltage', label: 'Circuits and fuses' },
  { value: 'mains', label: 'Electrician’s certificate' },
  { value: 'seats', label: 'Seats and belts' },
  { value: 'weighbridge', label: 'Weighbridge ticket' },
  { value: 'tyres', label: 'Tyres' },
  { value: 'manual', label: 'Manual' },
  { value: 'receipt', label: 'Receipt' },
  { value: 'other', label: 'Other' },
];

type EntryKind = Entry['kind'];

/** What a line of the log is about, as it is chosen on the phone. */
export const entryKinds: readonly { value: EntryKind; label: string; icon: string }[] = [
  { value: 'fuel', label: 'Fuel', icon: 'bi-fuel-pump' },
  { value: 'water', label: 'Water', icon: 'bi-droplet' },
  { value: 'nights', label: 'Nights', icon: 'bi-moon' },
  { value: 'power', label: 'Power', icon: 'bi-battery-half' },
  { value: 'broke', label: 'Broke', icon: 'bi-hammer' },
  { value: 'rattled', label: 'Rattled', icon: 'bi-volume-up' },
  { value: 'leaked', label: 'Leaked', icon: 'bi-moisture' },
  { value: 'unused', label: 'Never used', icon: 'bi-archive' },
  { value: 'missing', label: 'Missing', icon: 'bi-question-square' },
  { value: 'moved', label: 'Moved', icon: 'bi-arrows-move' },
  { value: 'done', label: 'Checked', icon: 'bi-check2-square' },
  { value: 'note', label: 'Note', icon: 'bi-pencil' },
];
