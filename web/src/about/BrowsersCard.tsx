import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';

import { answer, api, Refused } from '../api/client';
import { Panel } from '../components/Panel';
import { sayWhen } from '../words/when';

/** Who may use a server that other machines reach: the code, and the browsers that were let in with it. */
export function BrowsersCard() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ['browsers'],
    queryFn: ({ signal }) => answer(api.GET('/api/browsers', { signal })),
  });
  const change = useMutation({
    mutationFn: (act: () => Promise<typeof data>) => act(),
    onSuccess: (now) => client.setQueryData(['browsers'], now),
  });
  if (!data)
    return (
      <Panel title="Who may use it" className="wide">
        <p className="hint about-line" aria-busy="true">
          Asking the server…
        </p>
      </Panel>
    );
  if (!data.asked)
    return (
      <Panel title="Who may use it" className="wide">
        <p className="hint about-line">
          This server is reached from its own machine only, so that it asks for no access code. Start it with{' '}
          <code>--listen</code> and <code>--host</code> to let other machines in.
        </p>
      </Panel>
    );
  return (
    <Panel
      title="Who may use it"
      className="wide"
      actions={
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() => change.mutate(() => answer(api.POST('/api/access/renewed')))}
        >
          Make another code
        </Button>
      }
    >
      <p className="about-line">
        Access code: <strong className="figure">{data.code}</strong>{' '}
        <span className="hint">
          asked for once in each browser; another code lets nobody in who only knows this one
        </span>
      </p>
      {change.isError && (
        <p className="trouble" role="alert">
          {change.error instanceof Refused ? change.error.message : 'The server does not answer.'}
        </p>
      )}
      <div className="table-wrap">
        <table className="sheet-table" aria-label="Browsers that were let in">
          <thead>
            <tr>
              <th scope="col">Browser</th>
              <th scope="col">Let in</th>
              <th scope="col">Last seen</th>
              <th scope="col">
                <span className="visually-hidden">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.browsers.map((b) => (
              <tr key={b.id} data-browser={b.id}>
                <th scope="row">{b.name}</th>
                <td className="figure">{sayWhen(b.since)}</td>
                <td className="figure">{b.id === data.here ? 'now, this one' : sayWhen(b.seen)}</td>
                <td>
                  {b.id !== data.here && (
                    <button
                      type="button"
                      className="btn btn-sm btn-outline-danger"
                      aria-label={`Shut out ${b.name}`}
                      onClick={() =>
                        change.mutate(() =>
                          answer(api.DELETE('/api/browsers/{id}', { params: { path: { id: b.id } } })),
                        )
                      }
                    >
                      Shut out
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Panel>
  );
}
