import type { WeighIn } from '../api/types';
import { RemoveButton, RemoveHead } from '../components/ListButtons';
import { on } from '../document/things';
import { useWeigh } from './useWeigh';

/** What was in and on it by the plan of that day; litres and people are put right here. */
export function Aboard({ own, onNote }: { own: WeighIn; onNote: () => void }) {
  const { edit, input, unit } = useWeigh();
  const shown = own.aboard.filter((a) => a.kg > 0 || a.content > 0 || a.of.startsWith('tank:'));
  const at = (v: { weighIns: WeighIn[] }, of: string, to: (a: WeighIn['aboard'][number]) => void) =>
    on(v.weighIns, own.id, (w) => w.aboard.filter((a) => a.of === of).forEach(to));
  return (
    <>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onNote}>
        Note anew what is aboard now
      </button>
      <div className="table-wrap">
        <table className="sheet-table" aria-label={`Aboard at ${own.name}`}>
          <thead>
            <tr>
              <th scope="col">Aboard</th>
              <th scope="col" className="over-figures">
                Itself, {unit('mass')}
              </th>
              <th scope="col" className="over-figures">
                In it, {unit('mass')}
              </th>
              <RemoveHead />
            </tr>
          </thead>
          <tbody>
            {shown.map((a) => (
              <tr key={a.of}>
                <th scope="row">{a.name}</th>
                <td>
                  {!a.of.startsWith('tank:') &&
                    input(`${a.name} at ${own.name}`, a.kg, 'mass', (v, x) => at(v, a.of, (t) => (t.kg = x)))}
                </td>
                <td>
                  {(a.content > 0 || a.of.startsWith('tank:')) &&
                    input(`In ${a.name} at ${own.name}`, a.content, 'mass', (v, x) =>
                      at(v, a.of, (t) => (t.content = x)),
                    )}
                </td>
                <td>
                  <RemoveButton
                    label={`${a.name} was not there`}
                    onClick={() =>
                      edit(`${a.name} was not there`, (v) =>
                        on(v.weighIns, own.id, (w) => {
                          w.aboard = w.aboard.filter((t) => t.of !== a.of);
                        }),
                      )
                    }
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
