import type { Finding } from '../api/types';

type Severity = Finding['severity'];

const severityWords: Record<Severity, string> = { stop: 'Stop', caution: 'Caution', note: 'Note' };

/** How bad a finding is, by shape, colour and word. */
export function SeverityMark({ severity }: { severity: Severity }) {
  return (
    <span className={`severity severity-${severity}`}>
      <svg viewBox="0 0 16 16" width="13" height="13" aria-hidden>
        <SeverityShape severity={severity} />
      </svg>
      {severityWords[severity]}
    </span>
  );
}

/** The shape alone, in a square of 16, for drawings. */
export function SeverityShape({ severity }: { severity: Severity }) {
  return (
    <>
      {severity === 'stop' && <path d="M1.5 1.5h13v13h-13zM4 7v2h8V7z" fillRule="evenodd" />}
      {severity === 'caution' && <path d="M8 1.5 15 14H1z" />}
      {severity === 'note' && <path d="M3 2h10v12H3zM5 5v1.5h6V5zM5 8v1.5h4V8z" fillRule="evenodd" />}
    </>
  );
}

/** The worst stop or caution about each thing of the electrics that nobody let stand, by its id. */
export function worstOfPower(findings: readonly Finding[]): Map<string, Severity> {
  const worst = new Map<string, Severity>();
  for (const f of findings) {
    if (f.subject.kind !== 'power' || f.severity === 'note' || f.accepted !== '') continue;
    if (worst.get(f.subject.id) !== 'stop') worst.set(f.subject.id, f.severity);
  }
  return worst;
}
