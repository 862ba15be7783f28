import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { NavLink } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { useMedia } from '../../kit/useMedia.ts';
import { FindButton } from '../palette/FindButton.tsx';
import { Choices } from './Choices.tsx';
import { GardenMenu, OwnMenu } from './RailMenus.tsx';
import { type Place, places, waysOf } from './ways.ts';

const MoreSheet = fetchedPart(async () => (await import('./MoreSheet.tsx')).MoreSheet);

/** Only where the clock is set by hand. */
const DemoClock = fetchedPart(async () => (await import('../../place/DemoClock.tsx')).DemoClock);

/** From this width the rail stands at the side, as the style sheet's `sm` says. */
const WIDE = '(min-width: 40rem)';

/** Where one can go: down the side at a desk, along the bottom on a phone. */
export function Rail() {
  const { role } = useHere();
  const isWide = useMedia(WIDE);
  const mine = waysOf(places, role);
  return isWide ? <SideRail mine={mine} /> : <FootRail mine={mine} />;
}

function SideRail({ mine }: { mine: readonly Place[] }) {
  const { garden } = useHere();
  const { t } = useTranslation('shell');
  const dates = useDates();
  return (
    <nav
      aria-label={t('rail.label')}
      className="sticky top-0 flex h-dvh w-56 shrink-0 flex-col overflow-y-auto bg-rail text-rail-ink print:hidden"
    >
      <div className="px-2 pt-5 pb-3">
        <GardenMenu />
        <p className="px-3 text-rail-soft text-sm">{dates.long(garden.today)}</p>
      </div>
      <FindButton className="mx-4 mb-2 border-rail-soft text-rail-soft hover:text-rail-ink" />
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
      <div className="flex flex-col gap-4 px-2 py-5">
        <div className="flex flex-col gap-4 px-3">
          <Clock />
          <Choices />
        </div>
        <OwnMenu />
      </div>
    </nav>
  );
}

function FootRail({ mine }: { mine: readonly Place[] }) {
  const { t } = useTranslation('shell');
  const [more, setMore] = useState(false);
  const close = () => setMore(false);
  return (
    <>
      <nav
        aria-label={t('rail.label')}
        className="fixed inset-x-0 bottom-0 z-30 flex bg-rail text-rail-ink print:hidden"
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
          <Ellipsis aria-hidden size={20} />
          {t('rail.more')}
        </button>
      </nav>
      {more && (
        <MoreSheet
          onUnfetched={close}
          places={mine.filter((place) => !place.onPhone)}
          foot={
            <>
              <Clock />
              <Choices />
            </>
          }
          onClose={close}
        />
      )}
    </>
  );
}

function Clock() {
  const { garden } = useHere();
  if (!garden.clockIsSet) return null;
  return <DemoClock />;
}
