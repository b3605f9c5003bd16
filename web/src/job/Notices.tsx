import { useSession, useSnapshot } from '../document/SessionContext';

/** What the user must know about saving: why it is refused, what others did. */
export function Notices() {
  const session = useSession();
  const { save, trouble, notice, undo, stale } = useSnapshot();
  return (
    <>
      {trouble !== '' && save !== 'conflict' && (
        <div className="notice notice-trouble" role="alert">
          <p>
            {trouble}
            {stale && '\nThe figures are those of the last state that could be counted.'}
          </p>
          {save === 'refused' && undo !== undefined && (
            <button type="button" className="btn btn-sm btn-outline-danger" onClick={() => session.undo()}>
              Take back: {undo}
            </button>
          )}
        </div>
      )}
      {notice !== '' && (
        <div className="notice" role="status">
          <p>{notice}</p>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => session.dismissNotice()}>
            Understood
          </button>
        </div>
      )}
    </>
  );
}
