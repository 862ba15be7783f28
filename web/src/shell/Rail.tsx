import type { Role } from '@unity-acre/contract';
import {
  BookOpen,
  CalendarDays,
  LogOut,
  type LucideIcon,
  Map as MapIcon,
  Rows3,
  Settings2,
  Shovel,
  Sprout,
  UserRound,
  UsersRound,
} from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { NavLink, useNavigate } from 'react-router';
import { ask } from '../kit/ask.ts';
import { useDates } from '../kit/dates.ts';
import { useHere } from '../kit/garden.ts';
import { usePreferences } from '../kit/preferences.ts';
import { Sheet } from '../kit/Sheet.tsx';
import { DemoClock } from '../place/DemoClock.tsx';
import { Choices } from './Choices.tsx';
import { useBecome, useMe } from './me.ts';

type Place = 'thisWeek' | 'ground' | 'season' | 'crew' | 'sessions' | 'log' | 'seedBox' | 'garden';

const crew: Role[] = ['coordinator', 'crewLead', 'volunteer'];
const places: { name: Place; to: string; icon: LucideIcon; may: Role[]; onPhone: boolean }[] = [
  { name: 'thisWeek', to: '/', icon: CalendarDays, may: [...crew, 'receiver'], onPhone: true },
  { name: 'ground', to: '/ground', icon: MapIcon, may: [...crew, 'receiver'], onPhone: true },
  { name: 'season', to: '/season', icon: Rows3, may: crew, onPhone: false },
  { name: 'crew', to: '/crew', icon: UsersRound, may: ['coordinator', 'crewLead'], onPhone: false },
  { name: 'sessions', to: '/sessions', icon: Shovel, may: crew, onPhone: true },
  { name: 'log', to: '/log', icon: BookOpen, may: crew, onPhone: true },
  { name: 'seedBox', to: '/seeds', icon: Sprout, may: ['coordinator', 'crewLead'], onPhone: false },
  { name: 'garden', to: '/garden', icon: Settings2, may: crew, onPhone: false },
];

/** Where one can go: down the side at a desk, along the bottom on a phone. */
export function Rail() {
  const { garden, role } = useHere();
  const { t } = useTranslation('shell');
  const dates = useDates();
  const [more, setMore] = useState(false);
  const mine = places.filter((place) => place.may.includes(role));
  return (
    <>
      <nav
        aria-label={t('rail.label')}
        className="sticky top-0 hidden h-dvh w-56 shrink-0 flex-col overflow-y-auto bg-rail text-rail-ink sm:flex print:hidden"
      >
        <div className="px-5 pt-6 pb-5">
          <p className="font-bold font-title text-xl leading-tight">{garden.name}</p>
          <p className="text-rail-soft text-sm">{dates.long(garden.today)}</p>
        </div>
        <ul className="flex-1">
          {mine.map(({ name, to, icon: Icon }) => (
            <li key={name}>
              <NavLink
                to={to}
                end={to === '/'}
                className="flex min-h-target items-center gap-3 border-transparent border-l-4 px-4 py-1.5 hover:bg-rail-raised aria-[current=page]:border-blossom aria-[current=page]:bg-rail-raised aria-[current=page]:font-semibold"
              >
                <Icon aria-hidden size={19} />
                {t(`rail.${name}`)}
              </NavLink>
            </li>
          ))}
        </ul>
        <div className="flex flex-col gap-4 px-5 py-5">
          <DemoClock />
          <Choices />
          <Leave />
        </div>
      </nav>

      <nav
        aria-label={t('rail.label')}
        className="fixed inset-x-0 bottom-0 z-30 flex bg-rail text-rail-ink sm:hidden print:hidden"
      >
        {mine
          .filter((place) => place.onPhone)
          .map(({ name, to, icon: Icon }) => (
            <NavLink
              key={name}
              to={to}
              end={to === '/'}
              className="flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 border-transparent border-t-4 px-1 text-xs aria-[current=page]:border-blossom aria-[current=page]:bg-rail-raised"
            >
              <Icon aria-hidden size={20} />
              {t(`rail.${name}`)}
            </NavLink>
          ))}
        <button
          type="button"
          onClick={() => setMore(true)}
          className="flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 border-transparent border-t-4 text-xs"
        >
          <Settings2 aria-hidden size={20} />
          {t('rail.more')}
        </button>
      </nav>
      <Sheet open={more} title={garden.name} onClose={() => setMore(false)}>
        <ul className="mb-5">
          {mine
            .filter((place) => !place.onPhone)
            .map(({ name, to, icon: Icon }) => (
              <li key={name}>
                <NavLink
                  to={to}
                  onClick={() => setMore(false)}
                  className="flex min-h-12 items-center gap-3 border-line border-b"
                >
                  <Icon aria-hidden size={20} />
                  {t(`rail.${name}`)}
                </NavLink>
              </li>
            ))}
        </ul>
        <div className="flex flex-col gap-5 bg-rail p-4 text-rail-ink">
          <DemoClock />
          <Choices />
          <Leave onGo={() => setMore(false)} />
        </div>
      </Sheet>
    </>
  );
}

function Leave({ onGo }: { onGo?: () => void }) {
  const { t } = useTranslation('shell');
  const { name, role, garden } = useHere();
  const me = useMe();
  const become = useBecome();
  const navigate = useNavigate();
  const choose = usePreferences((preferences) => preferences.choose);
  const others = (me.data?.memberships ?? []).filter((membership) => membership.gardenId !== garden.id);
  return (
    <div className="flex flex-col gap-1 text-sm">
      <p>
        {name} <span className="text-rail-soft">· {t(`role.${role}`)}</span>
      </p>
      {others.map((other) => (
        <button
          key={other.gardenId}
          type="button"
          className="min-h-9 text-left underline underline-offset-4"
          onClick={() => choose({ gardenId: other.gardenId })}
        >
          {t('goTo', { garden: other.garden })}
        </button>
      ))}
      <NavLink
        to="/account"
        className="flex min-h-9 items-center gap-2 text-left text-rail-soft hover:text-rail-ink"
        onClick={onGo}
      >
        <UserRound aria-hidden size={16} />
        {t('account')}
      </NavLink>
      <button
        type="button"
        className="flex min-h-9 items-center gap-2 text-left text-rail-soft hover:text-rail-ink"
        onClick={async () => {
          await ask('signOut', { body: {} });
          become(null);
          await navigate('/sign-in');
        }}
      >
        <LogOut aria-hidden size={16} />
        {t('signOut')}
      </button>
    </div>
  );
}
