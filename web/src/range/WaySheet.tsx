import { useState } from 'react';

import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { derived } from '../document/useDerive';
import { FillCard } from './FillCard';
import { HandCard } from './HandCard';
import { ReadWay } from './ReadWay';
import { TakeWay } from './TakeWay';
import { TasksCard } from './TasksCard';
import { TrackPicture } from './TrackPicture';
import { WayStrip } from './WayStrip';
import { useRange } from './useRange';
import { placeOn, type Along } from './along';

/** The way on one strip, with a hand along it, the ways to fill, and what to do at each stop. */
export function WaySheet() {
  const { route, typed, view, trouble, say, derive } = useRange();
  const [along, setAlong] = useState<Along>('km');
  const [hand, setHand] = useState(0);
  const [reading, setReading] = useState(false);
  const [tapping, setTapping] = useState(false);
  const end = view?.points.at(-1)?.km ?? 0;
  const here = Math.min(hand, end);
  return (
    <>
      <Panel
        title="The way"
        className="wide"
        note={
          view
            ? `${typed ? '' : 'As the brief has it: '}${say(end, 'distance')}, ${view.days} ${view.days === 1 ? 'day' : 'days'}, ${say(view.fuel, 'volume')} of fuel`
            : ''
        }
        actions={
          <>
            <SelectField
              label="Scale of the way"
              value={along}
              options={[
                { value: 'km', label: 'By distance' },
                { value: 'day', label: 'By day' },
              ]}
              onCommit={setAlong}
            />
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              aria-expanded={reading}
              onClick={() => setReading(!reading)}
            >
              Read a way
            </button>
            <TakeWay />
          </>
        }
      >
        {reading && <ReadWay onClose={() => setReading(false)} />}
        {trouble !== '' ? (
          <p className="empty" role="alert">
            {trouble}
          </p>
        ) : !view ? (
          <p className="empty" aria-busy="true">
            Following the way…
          </p>
        ) : (
          <>
            {!typed && (
              <p className="notice">
                <span>Nobody has entered the way yet; this is what the brief says of it.</span>
                <button
                  type="button"
                  className="btn btn-sm btn-primary"
                  onClick={() => void derive('Enter the way', derived('route-of-brief'))}
                >
                  Make it the way, and add stops
                </button>
              </p>
            )}
            <HandCard view={view} km={here} place={placeOn(view, here)} />
            <WayStrip view={view} along={along} km={here} onHand={setHand} />
            {route.track !== '' && (
              <TrackPicture
                view={view}
                km={here}
                tapping={tapping}
                onTap={(km) => void derive('Add stop', derived('route-stop', { value: km })).then(() => setHand(km))}
                onTapping={setTapping}
                onHand={setHand}
              />
            )}
          </>
        )}
      </Panel>
      {view && <FillCard view={view} />}
      {view && <TasksCard view={view} onShow={setHand} />}
    </>
  );
}
