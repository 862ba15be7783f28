import { ChevronDown, ChevronUp } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { LateMenu } from '../../kit/controls/index.ts';
import { useLeaving } from './useLeaving.ts';
import { gardenWays, ownWays, waysOf } from './ways.ts';

const name =
  'flex min-h-target w-full items-center justify-between gap-2 rounded-sm px-3 text-left hover:bg-rail-raised aria-expanded:bg-rail-raised';

/** The garden's name, and what stands behind it: how it is set up, its rules, messages and tools. */
export function GardenMenu() {
  const { garden, role } = useHere();
  const { t } = useTranslation('shell');
  const navigate = useNavigate();
  const ways = waysOf(gardenWays, role);
  if (ways.length === 0)
    return <p className="px-3 font-bold font-title text-xl leading-tight">{garden.name}</p>;
  return (
    <LateMenu
      align="start"
      items={ways.map(({ name: way, to }) => ({
        label: t(`rail.${way}`),
        onSelect: () => void navigate(to),
      }))}
    >
      <button type="button" title={t('gardenMenu', { garden: garden.name })} className={name}>
        <span className="font-bold font-title text-xl leading-tight">{garden.name}</span>
        <ChevronDown aria-hidden size={18} className="shrink-0" />
      </button>
    </LateMenu>
  );
}

/** One's own name, and what stands behind it: one's times, plots, hours and account, and the ways out. */
export function OwnMenu() {
  const { name: own, role } = useHere();
  const { t } = useTranslation('shell');
  const navigate = useNavigate();
  const { others, goTo, leave } = useLeaving();
  return (
    <LateMenu
      align="start"
      items={[
        ...waysOf(ownWays, role).map(({ name: way, to }) => ({
          label: t(`rail.${way}`),
          onSelect: () => void navigate(to),
        })),
        ...others.map(({ garden, gardenId }) => ({
          label: t('goTo', { garden }),
          onSelect: () => goTo(gardenId),
        })),
        { label: t('signOut'), onSelect: leave },
      ]}
    >
      <button type="button" title={t('ownMenu', { name: own })} className={`${name} text-sm`}>
        <span>
          {own}
          <span className="block text-rail-soft">{t(`role.${role}`)}</span>
        </span>
        <ChevronUp aria-hidden size={18} className="shrink-0" />
      </button>
    </LateMenu>
  );
}
