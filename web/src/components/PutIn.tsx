import { useState } from 'react';
import Button from 'react-bootstrap/Button';

import { SelectField } from './SelectField';

/**
 * Chooses one of a list and puts it in by a second step, the button or Enter, so that arrows and letters can go through
 * the list without doing anything yet.
 */
export function PutIn({
  label,
  options,
  onPut,
}: {
  label: string;
  options: readonly { value: string; label: string }[];
  onPut: (value: string) => void;
}) {
  const [picked, setPicked] = useState('');
  const name = options.find((o) => o.value === picked)?.label;
  const put = () => {
    if (name === undefined) return;
    setPicked('');
    onPut(picked);
  };
  return (
    <div className="put-in">
      <SelectField
        label={label}
        value={name === undefined ? '' : picked}
        options={[{ value: '', label: `${label} …` }, ...options]}
        onCommit={setPicked}
        onEnter={put}
        className="choose"
      />
      {name !== undefined && (
        <Button size="sm" onClick={put} aria-label={`Put in ${name}`}>
          Put in
        </Button>
      )}
    </div>
  );
}
