import { useState } from 'react';

/** How this browser wants the tables that it takes out; the server reads it from a cookie with every download. */
export const tableStyles = [
  { value: 'commas', label: 'Commas' },
  { value: 'marked', label: 'Commas, with a byte order mark' },
  { value: 'semicolons', label: 'Semicolons, decimal commas' },
] as const;

type TableStyle = (typeof tableStyles)[number]['value'];

const cookie = /(?:^|; )zaino_csv=(\w+)/;

export function useTableStyle(): [TableStyle, (style: TableStyle) => void] {
  const kept = cookie.exec(document.cookie)?.[1];
  const [style, setStyle] = useState(tableStyles.find((s) => s.value === kept)?.value ?? 'commas');
  return [
    style,
    (next) => {
      document.cookie = `zaino_csv=${next}; path=/; max-age=31536000; samesite=strict`;
      setStyle(next);
    },
  ];
}
