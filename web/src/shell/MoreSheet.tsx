import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { NavLink } from 'react-router';
import { Sheet } from '../kit/screens/index.ts';
import type { Place } from './Rail.tsx';

/** What has no room in the bar of a phone. */
export function MoreSheet({
  title,
  ways,
  foot,
  onClose,
}: {
  title: string;
  ways: readonly Place[];
  foot: ReactNode;
  onClose(): void;
}) {
  const { t } = useTranslation('shell');
  return (
    <Sheet open title={title} onClose={onClose}>
      <ul className="mb-5">
        {ways.map(({ name, to, icon: Icon }) => (
          <li key={name}>
            <NavLink
              to={to}
              onClick={onClose}
              className="flex min-h-12 items-center gap-3 border-line border-b"
            >
              <Icon aria-hidden size={20} />
              {t(`rail.${name}`)}
            </NavLink>
          </li>
        ))}
      </ul>
      <div className="flex flex-col gap-5 bg-rail p-4 text-rail-ink">{foot}</div>
    </Sheet>
  );
}
