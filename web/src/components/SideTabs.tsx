import type { ReactNode } from 'react';
import Tabs from 'react-bootstrap/Tabs';

interface Props {
  id: string;
  /** Key of the tab that shows. */
  active: string;
  onSelect: (key: string) => void;
  /** Its Tab elements. */
  children: ReactNode;
}

/** The tabs of a side panel: what is in one is there at once, without fading, and only while it shows. */
export function SideTabs({ id, active, onSelect, children }: Props) {
  return (
    <Tabs
      id={id}
      activeKey={active}
      onSelect={(key) => onSelect(key ?? active)}
      transition={false}
      mountOnEnter
      unmountOnExit
    >
      {children}
    </Tabs>
  );
}
