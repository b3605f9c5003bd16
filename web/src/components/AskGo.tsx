/** Begins a search that takes a while; while it runs, how far it is and a way to call it off. */
export function AskGo({
  label,
  share,
  disabled = false,
  onAsk,
  onStop,
}: {
  label: string;
  /** Of the search that is done, 0 to 1; undefined: none runs. */
  share: number | undefined;
  disabled?: boolean;
  onAsk: () => void;
  onStop: () => void;
}) {
  return (
    <div className="ask-go">
      <button type="button" className="btn btn-primary" disabled={share !== undefined || disabled} onClick={onAsk}>
        {label}
      </button>
      {share !== undefined && (
        <>
          <progress value={share} max={1} aria-label="How far it is" />
          <button type="button" className="btn btn-outline-secondary" onClick={onStop}>
            Stop
          </button>
        </>
      )}
    </div>
  );
}
