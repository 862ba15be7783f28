import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { NavLink } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { Sheet } from '../../kit/screens/index.ts';
import { FindButton } from '../palette/FindButton.tsx';
import { useLeaving } from './useLeaving.ts';
import { gardenWays, ownWays, type Place, waysOf } from './ways.ts';

interface Props {
  places: readonly Place[];
  foot: ReactNode;
  onClose(): void;
}

const row = 'flex min-h-12 w-full items-center gap-3 border-line border-b text-left';

/** What has no room in the bar of a phone: the other places, what stands behind the garden's name, and behind one's own. */
export function MoreSheet({ places, foot, onClose }: Props) {
  const { t } = useTranslation('shell');
  const { garden, name: own, role } = useHere();
  const { others, goTo, leave } = useLeaving();
  const ofGarden = waysOf(gardenWays, role);
  return (
    <Sheet open title={garden.name} onClose={onClose}>
      <FindButton className="mb-3 w-full border-line-strong" />
      <ul className="mb-5">
        {places.map(({ name, to, icon: Icon }) => (
          <li key={name}>
            <NavLink to={to} onClick={onClose} className={row}>
              <Icon aria-hidden size={20} />
              {t(`rail.${name}`)}
            </NavLink>
          </li>
        ))}
        {ofGarden.map(({ name, to }) => (
          <li key={name}>
            <NavLink to={to} end onClick={onClose} className={row}>
              {t(`rail.${name}`)}
            </NavLink>
          </li>
        ))}
      </ul>
      <h3 className="font-bold font-title text-lg">
        {own} <span className="font-normal text-base text-ink-soft">· {t(`role.${role}`)}</span>
      </h3>
      <ul className="mb-5">
        {waysOf(ownWays, role).map(({ name, to }) => (
          <li key={name}>
            <NavLink to={to} onClick={onClose} className={row}>
              {t(`rail.${name}`)}
            </NavLink>
          </li>
        ))}
        {others.map(({ garden: other, gardenId }) => (
          <li key={gardenId}>
            <button type="button" className={row} onClick={() => goTo(gardenId)}>
              {t('goTo', { garden: other })}
            </button>
          </li>
        ))}
        <li>
          <button type="button" className={row} onClick={leave}>
            {t('signOut')}
          </button>
        </li>
      </ul>
      <div className="flex flex-col gap-5 bg-rail p-4 text-rail-ink">{foot}</div>
    </Sheet>
  );
}
