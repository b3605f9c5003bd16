import { useCallback, useState } from 'react';

import type { Finding } from '../api/types';

/**
 * What the scene shows as chosen: an item, or what a finding is about. The
 * functions stay the same, so that rows need not be drawn again.
 */
export function useShown() {
  const [selected, setSelected] = useState<string>();
  const [subject, setSubject] = useState<Finding['subject']['kind']>();
  const onSelect = useCallback((id: string | undefined) => {
    setSelected(id);
    setSubject(undefined);
  }, []);
  const onShow = useCallback(({ subject: about, with: others }: Finding) => {
    setSelected(
      ['item', 'plumbing', 'build'].includes(about.kind) ? about.id : about.kind === 'power' ? others[0] : undefined,
    );
    setSubject(about.kind);
  }, []);
  return { selected, subject, onSelect, onShow };
}
