import { useSnapshot } from '../document/SessionContext';
import type { SaveState } from '../document/session';

const words: Record<SaveState, { icon: string; text: string }> = {
  saved: { icon: 'bi-check2', text: 'Saved' },
  waiting: { icon: 'bi-three-dots', text: 'Saving…' },
  saving: { icon: 'bi-three-dots', text: 'Saving…' },
  offline: { icon: 'bi-plug', text: 'Not saved: no server' },
  refused: { icon: 'bi-slash-circle', text: 'Not saved' },
  conflict: { icon: 'bi-people', text: 'Not saved: your decision' },
  gone: { icon: 'bi-slash-circle', text: 'Not saved: job deleted' },
};

/** Whether everything is on the server. */
export function SaveMark() {
  const { save, trouble } = useSnapshot();
  const { icon, text } = words[save];
  return (
    <span className={`save-mark save-${save}`} role="status" data-save={save} title={trouble}>
      <i className={`bi ${icon}`} aria-hidden /> {text}
    </span>
  );
}
