import { useQuery } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import { BesidePage } from '../components/BesidePage';
import { Panel } from '../components/Panel';
import { BrowsersCard } from './BrowsersCard';

/** What this Zaino is: its version, who may use it, and under which licences it stands. */
export function AboutPage() {
  const health = useQuery({ queryKey: ['health'], queryFn: () => answer(api.GET('/api/health')) });
  const licences = useQuery({
    queryKey: ['licences'],
    queryFn: ({ signal }) => answer(api.GET('/api/licences', { signal })),
    staleTime: Infinity,
  });
  return (
    <BesidePage
      to="/"
      back="All jobs"
      title="About"
      hint={
        health.data
          ? `Zaino ${health.data.version}; its database answers.`
          : health.error
            ? health.error instanceof TypeError
              ? 'The server does not answer.'
              : health.error.message
            : 'Asking the server…'
      }
    >
      <BrowsersCard />
      <Panel
        title="Licences"
        note="of everything that Zaino is linked with or ships; zaino licences prints them"
        className="wide"
      >
        {licences.isPending && (
          <p className="empty" aria-busy="true">
            Reading the licences…
          </p>
        )}
        {licences.isError && (
          <p className="trouble" role="alert">
            The licences cannot be shown: the server does not answer.
          </p>
        )}
        <ul className="licences">
          {licences.data?.map((l) => (
            <li key={l.name}>
              <details>
                <summary>
                  {l.name} <small className="hint">{l.kind}</small>
                </summary>
                <pre>{l.text}</pre>
              </details>
            </li>
          ))}
        </ul>
      </Panel>
    </BesidePage>
  );
}
