import { NavLink } from 'react-router';

/** The ways within one place of the rail, as a line of links under its heading. */
export function Paths({ label, ways }: { label: string; ways: { to: string; words: string }[] }) {
  return (
    <nav aria-label={label} className="-mb-2 flex flex-wrap gap-x-1 border-line-strong border-b">
      {ways.map(({ to, words }) => (
        <NavLink
          key={to}
          to={to}
          end={ways.some((other) => other.to !== to && other.to.startsWith(to))}
          className="-mb-px flex min-h-target items-center border-transparent border-b-4 px-3 hover:bg-straw-soft aria-[current=page]:border-blossom aria-[current=page]:font-semibold"
        >
          {words}
        </NavLink>
      ))}
    </nav>
  );
}
