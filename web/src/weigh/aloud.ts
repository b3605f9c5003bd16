import { useState } from 'react';

const key = 'zaino.aloud';

/** Says a text by the voice of this machine, where it has one. */
export function speak(text: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(text.replace(/[\u202f\u00a0]/g, ' ')));
}

/** Whether what is taken is said aloud; this browser remembers it. */
export function useAloud(): [boolean, (on: boolean) => void] {
  const [aloud, setAloud] = useState(() => {
    try {
      return localStorage.getItem(key) === 'yes';
    } catch {
      return false;
    }
  });
  return [
    aloud,
    (on) => {
      setAloud(on);
      try {
        localStorage.setItem(key, on ? 'yes' : 'no');
      } catch {
        // It holds until the page is left.
      }
    },
  ];
}
