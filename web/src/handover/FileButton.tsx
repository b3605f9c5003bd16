import { useRef } from 'react';

/** Chooses a photo or a paper; on a phone its camera is offered. */
export function FileButton({ label, accept, onFile }: { label: string; accept: string; onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        className="visually-hidden"
        tabIndex={-1}
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => input.current?.click()}>
        <i className={`bi ${accept.includes('pdf') ? 'bi-paperclip' : 'bi-camera'}`} aria-hidden /> {label}
      </button>
    </>
  );
}

export const PHOTOS = 'image/jpeg,image/png';
export const PAPERS = 'application/pdf,image/jpeg,image/png';
