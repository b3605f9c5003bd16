import { useSyncExternalStore } from 'react';

export type Theme = 'light' | 'dark';

const key = 'zaino.theme';
const listeners = new Set<() => void>();

function current(): Theme {
  return document.documentElement.dataset.bsTheme === 'dark' ? 'dark' : 'light';
}

/** Puts the theme that this browser last had, or that its system asks for, on the page. */
export function startTheme(): void {
  let kept: string | null = null;
  try {
    kept = localStorage.getItem(key);
  } catch {
    // Without a store the system's wish counts.
  }
  const dark = kept === null ? matchMedia('(prefers-color-scheme: dark)').matches : kept === 'dark';
  document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light';
}

export function setTheme(theme: Theme): void {
  document.documentElement.dataset.bsTheme = theme;
  try {
    localStorage.setItem(key, theme);
  } catch {
    // It holds until the page is left.
  }
  listeners.forEach((listener) => listener());
}

export function useTheme(): Theme {
  return useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, current);
}
