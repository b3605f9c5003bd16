import type { Wire } from '../api/types';
import { Panel } from '../components/Panel';
import { Scene } from '../scene/Scene';
import { usePower } from './usePower';

/** Where the cable of a circuit runs on the vehicle: from what feeds it to its end. */
export function Run({ line }: { line: Wire }) {
  const { say } = usePower();
  return (
    <Panel
      title="Where it runs"
      className="wide"
      note={`${say(line.length, 'length')} one way${line.lengthBy === 'places' ? ', along the three axes between its ends and 15 % for the way round; measure before it is cut' : ''}`}
    >
      <Scene
        width={760}
        height={260}
        selected={line.end || undefined}
        subject={undefined}
        onSelect={() => undefined}
        run={line}
      />
    </Panel>
  );
}
