import { FileButton, PHOTOS } from './FileButton';
import { useFiles, useHandover } from './useHandover';

/** Pictures by what they are of, and a way to add one of each part. */
export function Pictures() {
  const { variant } = useHandover();
  const files = useFiles();
  const photos = files.files.filter((f) => f.kind === 'photo');
  const parts = variant.items.filter((i) => i.module);
  const name = (of: string) => variant.items.find((i) => `item/${i.id}` === of)?.name;
  return (
    <>
      <ul className="photo-list" aria-label="Pictures">
        {photos.map((f) => (
          <li key={f.id}>
            <a href={files.address(f.id)} target="_blank" rel="noreferrer">
              <img alt={name(f.of) ?? f.name} src={files.address(f.id)} loading="lazy" />
            </a>
            <span>{name(f.of) ?? f.name}</span>
            <button
              type="button"
              className="icon-button"
              aria-label={`Remove the picture ${name(f.of) ?? f.name}`}
              onClick={() => void files.drop(f.id)}
            >
              <i className="bi bi-x-lg" aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {photos.length === 0 && <p className="empty">No picture yet.</p>}
      <details className="photo-parts">
        <summary>A picture of a part</summary>
        <ul>
          {parts.map((i) => (
            <li key={i.id}>
              <span>{i.name}</span>
              <FileButton
                label={`Picture of ${i.name}`}
                accept={PHOTOS}
                onFile={(file) => void files.add(file, `item/${i.id}`)}
              />
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
