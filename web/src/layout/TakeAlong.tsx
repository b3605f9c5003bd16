import { download } from '../document/download';
import { useSession } from '../document/SessionContext';
import { standNames, type Stand } from '../scene/projection';
import { savePicture } from './picture';
import type { Bench } from './useBench';
import type { Seeing } from './useSeeing';

const all: Stand[] = ['left', 'right', 'behind', 'ahead', 'above'];

/** Drawings and models to take along: what is seen now as a sheet, single views, the model in the round. */
export function TakeAlong({ bench, seeing }: { bench: Bench; seeing: Seeing }) {
  const session = useSession();
  const { job, stance } = bench;
  const seen = seeing.stands.length > 0 ? seeing.stands : (['left', 'behind', 'above'] as Stand[]);
  const query = `views=${seen.join()}&focus=${encodeURIComponent(seeing.focus)}&stance=${encodeURIComponent(stance)}`;
  const first = seen[0] ?? 'left';
  const take = (path: string) => {
    const [what = '', width] = path.split(' ');
    if (width === undefined) void download(session, `/api/jobs/${job.id}/${what}`);
    else
      void session
        .flush()
        .then(() => savePicture(`/api/jobs/${job.id}/${what}`, Number(width), `${job.name}, ${standNames[first]}`))
        .catch(() => session.tell('The picture could not be made; the drawing as SVG shows the same.'));
  };
  return (
    <select
      className="form-select form-select-sm"
      aria-label="Save a drawing"
      value=""
      onChange={(event) => take(event.target.value)}
    >
      <option value="">Draw</option>
      <optgroup label="What is seen, as a sheet to scale">
        {[
          ['a4', 'A4'],
          ['a3', 'A3'],
          ['letter', 'Letter'],
        ].map(([paper, label]) => (
          <option key={paper} value={`sheet.pdf?paper=${paper}&${query}`}>
            Sheet {label}, PDF
          </option>
        ))}
      </optgroup>
      <optgroup label={`Picture, ${standNames[first].toLowerCase()}`}>
        {[1200, 2400, 4800].map((width) => (
          <option key={width} value={`svg/${first} ${width}`}>
            PNG, {width} wide
          </option>
        ))}
      </optgroup>
      <optgroup label="One view, 1:10 or 1:1">
        {all.flatMap((stand) =>
          (['svg', 'dxf'] as const).map((format) => (
            <option key={`${format} ${stand}`} value={`${format}/${stand}`}>
              {standNames[stand]}, {format.toUpperCase()}
            </option>
          )),
        )}
      </optgroup>
      <optgroup label="In the round">
        <option value="model.glb">Model, glTF binary</option>
      </optgroup>
    </select>
  );
}
