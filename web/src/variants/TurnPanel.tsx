import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import { Panel } from '../components/Panel';
import { chosenVariant, useSnapshot } from '../document/SessionContext';

/** The other way of a judgement call, tried as a variant in one step. */
export function TurnPanel({ onTurn }: { onTurn: (school: string, choice: string, label: string) => void }) {
  const { job } = useSnapshot();
  const { data } = useQuery({
    queryKey: ['ways', job.id, job.chosen, chosenVariant(job).items, job.brief],
    queryFn: () => answer(api.POST('/api/ways', { body: job })),
    placeholderData: keepPreviousData,
  });
  return (
    <Panel title="The same, the other way" note="Makes a variant of the adopted one with one judgement call turned">
      <div className="turns">
        {!data && <p className="empty" aria-busy="true" />}
        {data?.length === 0 && (
          <p className="empty">
            Nothing in this arrangement can be turned in one step. Branch it and change it on the bench.
          </p>
        )}
        {data?.map((way) => (
          <button
            key={`${way.school} ${way.choice}`}
            type="button"
            className="chip"
            data-turn={`${way.school} ${way.choice}`}
            onClick={() => onTurn(way.school, way.choice, `Try ${way.label}`)}
          >
            {way.label}
          </button>
        ))}
      </div>
    </Panel>
  );
}
