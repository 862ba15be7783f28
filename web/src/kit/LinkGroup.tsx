import { Link } from 'react-router';

/** A few ways to look at the same thing, side by side, each with an address of its own. */
export function LinkGroup({
  label,
  links,
}: {
  label: string;
  links: readonly { to: string; label: string; isCurrent: boolean }[];
}) {
  return (
    <nav aria-label={label} className="flex print:hidden">
      {links.map((link) => (
        <Link
          key={link.to}
          to={link.to}
          replace
          preventScrollReset
          aria-current={link.isCurrent ? 'true' : undefined}
          className="inline-flex min-h-target items-center border border-line-strong bg-paper px-3 not-first:border-l-0 first:rounded-l-sm last:rounded-r-sm hover:bg-straw-soft aria-[current]:bg-ink aria-[current]:font-semibold aria-[current]:text-paper"
        >
          {link.label}
        </Link>
      ))}
    </nav>
  );
}
