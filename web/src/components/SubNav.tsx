import { NavLink } from 'react-router';

/** The sheets of one stage. */
export function SubNav({
  label,
  sheets,
}: {
  label: string;
  sheets: readonly { to: string; label: string; count?: string }[];
}) {
  return (
    <nav className="sub-nav" aria-label={label}>
      {sheets.map((sheet) => (
        <NavLink key={sheet.to} to={sheet.to} end>
          {sheet.label}
          {sheet.count !== undefined && <small className="figure">{sheet.count}</small>}
        </NavLink>
      ))}
    </nav>
  );
}
