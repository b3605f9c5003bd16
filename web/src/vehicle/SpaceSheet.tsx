import { useState } from 'react';
import { useLocation } from 'react-router';

import { useSnapshot } from '../document/SessionContext';
import { ViewDrawing } from '../scene/ViewDrawing';
import { BaysCard } from './BaysCard';

/** The measured spaces, drawn in three views and listed below. */
export function SpaceSheet() {
  const { job } = useSnapshot();
  const wanted = useLocation().hash.slice(1);
  const [picked, setPicked] = useState<string>();
  const known = (id: string | undefined) => job.vehicle.bays.find((b) => b.id === id)?.id;
  const shown = known(picked) ?? known(wanted) ?? job.vehicle.bays[0]?.id;
  return (
    <>
      <div className="views wide">
        <ViewDrawing view="left" width={520} height={220} picked={shown} />
        <ViewDrawing view="behind" width={270} height={220} picked={shown} />
        <ViewDrawing view="above" width={800} height={230} picked={shown} />
      </div>
      <BaysCard picked={shown} onPick={setPicked} />
    </>
  );
}
