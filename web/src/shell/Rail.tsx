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
import { useBecome, useHere, useMe, useWrite } from '../garden/index.ts';
import { useDates } from '../kit/dates.ts';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { dropDrafts } from '../kit/forms/index.ts';
import { useMedia } from '../kit/useMedia.ts';
import { usePreferences } from '../preferences.ts';
import { Choices } from './Choices.tsx';

const MoreSheet = fetchedPart(async () => (await import('./MoreSheet.tsx')).MoreSheet);

/** Only where the clock is set by hand. */
const DemoClock = fetchedPart(async () => (await import('../place/DemoClock.tsx')).DemoClock);

export interface Place {
  name: 'thisWeek' | 'ground' | 'season' | 'crew' | 'sessions' | 'log' | 'seedBox' | 'garden';
  to: string;
  icon: LucideIcon;
  may: Role[];
  onPhone: boolean;
}

const crew: Role[] = ['coordinator', 'crewLead', 'volunteer'];
const places: Place[] = [
  { name: 'thisWeek', to: '/', icon: CalendarDays, may: [...crew, 'receiver'], onPhone: true },
  { name: 'ground', to: '/ground', icon: MapIcon, may: [...crew, 'receiver'], onPhone: true },
  { name: 'season', to: '/season', icon: Rows3, may: crew, onPhone: false },
  { name: 'crew', to: '/crew', icon: UsersRound, may: ['coordinator', 'crewLead'], onPhone: false },
  { name: 'sessions', to: '/sessions', icon: Shovel, may: crew, onPhone: true },
  { name: 'log', to: '/log', icon: BookOpen, may: crew, onPhone: true },
  { name: 'seedBox', to: '/seeds', icon: Sprout, may: ['coordinator', 'crewLead'], onPhone: false },
  { name: 'garden', to: '/garden', icon: Settings2, may: crew, onPhone: false },
];

/** From this width the rail stands at the side, as the style sheet's `sm` says. */
const WIDE = '(min-width: 40rem)';

/** Where one can go: down the side at a desk, along the bottom on a phone. */
export function Rail() {
  const { role } = useHere();
  const isWide = useMedia(WIDE);
  const mine = places.filter((place) => place.may.includes(role));
  return isWide ? <SideRail places={mine} /> : <FootRail places={mine} />;
}

function SideRail({ places }: { places: readonly Place[] }) {
  const { garden } = useHere();
  const { t } = useTranslation('shell');
  const dates = useDates();
  return (
    <nav
      aria-label={t('rail.label')}
      className="sticky top-0 flex h-dvh w-56 shrink-0 flex-col overflow-y-auto bg-rail text-rail-ink print:hidden"
    >
      <div className="px-5 pt-6 pb-5">
        <p className="font-bold font-title text-xl leading-tight">{garden.name}</p>
        <p className="text-rail-soft text-sm">{dates.long(garden.today)}</p>
      </div>
      <ul className="flex-1">
        {places.map(({ name, to, icon: Icon }) => (
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
        <Clock />
        <Choices />
        <Leave />
      </div>
    </nav>
  );
}

function FootRail({ places }: { places: readonly Place[] }) {
  const { garden } = useHere();
  const { t } = useTranslation('shell');
  const [more, setMore] = useState(false);
  return (
    <>
      <nav
        aria-label={t('rail.label')}
        className="fixed inset-x-0 bottom-0 z-30 flex bg-rail text-rail-ink print:hidden"
      >
        {places
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
      {more && (
        <MoreSheet
          onUnfetched={() => setMore(false)}
          title={garden.name}
          ways={places.filter((place) => !place.onPhone)}
          foot={
            <>
              <Clock />
              <Choices />
              <Leave onGo={() => setMore(false)} />
            </>
          }
          onClose={() => setMore(false)}
        />
      )}
    </>
  );
}

function Leave({ onGo }: { onGo?: () => void }) {
  const { t } = useTranslation('shell');
  const { name, role, garden } = useHere();
  const me = useMe();
  const become = useBecome();
  const signOut = useWrite('signOut');
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
          onClick={() => {
            dropDrafts();
            choose({ gardenId: other.gardenId });
          }}
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
        onClick={() =>
          signOut.mutate(
            { body: {} },
            {
              onSuccess: () => {
                become(null);
                void navigate('/sign-in');
              },
            },
          )
        }
      >
        <LogOut aria-hidden size={16} />
        {t('signOut')}
      </button>
    </div>
  );
}

function Clock() {
  const { garden } = useHere();
  if (!garden.clockIsSet) return null;
  return <DemoClock />;
}
