import { Outlet } from 'react-router';

import { useWeighAsked } from './useWeigh';

/** Weighing with one hand: one part at a time, large, without the rest of the desk. */
export function HandPage() {
  const state = useWeighAsked();
  return (
    <main className="bench-page weigh-hand">
      {state.trouble !== '' && (
        <p className="trouble" role="alert">
          {state.trouble}
        </p>
      )}
      {state.view ? (
        <Outlet context={state} />
      ) : (
        <p className="empty" aria-busy="true">
          Putting the parts into their order…
        </p>
      )}
    </main>
  );
}
