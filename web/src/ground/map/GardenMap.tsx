import type { Bed, Landmark } from '@unity-acre/contract/ground';
import { Plus } from 'lucide-react';
import { useCallback, useId, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { datesAlone, seasonListOf, useCoordinates, useHere, useList, useRead } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { Bare, Loaded, Screen, useInAddress } from '../../kit/screens/index.ts';
import { useMedia } from '../../kit/useMedia.ts';
import { Plan, Underlay } from '../plan/index.ts';
import { BedList } from './BedList.tsx';
import { BedNote } from './BedNote.tsx';
import { Colours } from './Colours.ts';
import { DaySlider } from './DaySlider.tsx';
import { LensBar, useLens } from './LensBar.tsx';
import type { Lens, MapDay } from './lens.ts';
import { PixelLayer } from './PixelLayer.ts';
import { paintPlants } from './paintPlants.ts';
import { plantedIn, seenOn } from './planted.ts';

import { useMapDay } from './useMapDay.ts';

/** Fetched when it is first shown: the screen beneath does not wait for all that a form is made with. */
const BedSheet = fetchedPart(async () => (await import('../bed/index.ts')).BedSheet);

/** The garden on any day of the season, seen through one lens at a time. @param lenses in the order in which they are offered */
export function GardenMap({ lenses }: { lenses: readonly Lens[] }) {
  const { t } = useTranslation('ground');
  const coordinates = useCoordinates();
  const beds = useList('beds');
  const landmarks = useList('landmarks');
  const [opened, open] = useInAddress('bed');
  return (
    <Screen
      title={t('title')}
      className="flex flex-col gap-4"
      actions={
        coordinates && (
          <Button onClick={() => open('new')} look="act">
            <Plus aria-hidden size={18} />
            {t('addBed')}
          </Button>
        )
      }
    >
      <PlacePaths of="layout" />
      <Loaded of={beds}>
        {(list) =>
          list.length === 0 ? (
            <Bare title={t('empty')}>
              <p>{t('emptyHint')}</p>
            </Bare>
          ) : (
            // The plan would jump if what stands around the beds came later.
            <Loaded of={landmarks}>
              {(marks) => <MapThroughTime beds={list} landmarks={marks} lenses={lenses} />}
            </Loaded>
          )
        }
      </Loaded>
      {opened === 'new' && <BedSheet bed={null} onClose={() => open(null)} onUnfetched={() => open(null)} />}
    </Screen>
  );
}

interface Props {
  beds: Bed[];
  landmarks: Landmark[];
  lenses: readonly Lens[];
}

/** The garden on the day that is shown, through the lens that is chosen. @param mayRead whether one may see what is planned */
function useMapNow({ beds, lenses }: Pick<Props, 'beds' | 'lenses'>, mayRead: boolean) {
  const { garden } = useHere();
  const catalogue = useCatalogue();
  const plantings = useRead({
    ...seasonListOf(garden.id, 'plantings', garden.seasonYear, datesAlone),
    enabled: mayRead,
  }).data;
  const time = useMapDay();
  const planted = useMemo(
    () => plantedIn(beds, plantings ?? [], garden.seasonYear, garden, catalogue),
    [beds, plantings, garden, catalogue],
  );
  const seen = useMemo(() => seenOn(planted, time.on), [planted, time.on]);
  const [lens, offered, choose] = useLens(lenses);
  const day: MapDay = { on: time.on, restedOn: time.restedOn, beds, planted, seen };
  // Each is a hook: all are called at every drawing, in one order.
  const views = new Map(lenses.map((one) => [one.key, one.use(day, one === lens)]));
  return { time, day, lens, offered, choose, view: views.get(lens.key)! };
}

function MapThroughTime({ beds, landmarks, lenses }: Props) {
  const { t } = useTranslation(['map', 'ground']);
  const navigate = useNavigate();
  const mayRead = useHere().role !== 'receiver';
  const { time, day, lens, offered, choose, view } = useMapNow({ beds, lenses }, mayRead);
  const [palette] = useState(() => ({ colours: new Colours(), pixels: new PixelLayer() }));
  const [lookedId, setLooked] = useState<string | null>(null);
  const noteId = useId();
  const look = useCallback((bed: Bed) => setLooked(bed.id), []);
  const open = useCallback(
    (bed: Bed, byTouch: boolean) => {
      if (byTouch) setLooked(bed.id);
      else navigate(`/ground/${bed.id}`);
    },
    [navigate],
  );
  // On a phone it stands under the finger, not after all the rest.
  const isWide = useMedia('(min-width: 64rem)');
  const noted = (
    <BedNote bed={beds.find(({ id }) => id === lookedId) ?? null} day={day} view={view} id={noteId} />
  );
  return (
    <>
      <LensBar shown={lens.key} offered={offered} onChoose={choose} />
      <div className="grid items-start gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_17rem]">
        <div className="flex min-w-0 flex-col gap-2">
          <Plan
            beds={beds}
            landmarks={landmarks}
            fillOf={(bed) => (view.fillOf ? (view.fillOf(bed) ?? 'var(--paper)') : undefined)}
            paint={(context, ground) => paintPlants(context, ground, day.seen, view, palette)}
            onOpen={open}
            onLook={look}
            noteId={noteId}
            under={<Underlay />}
            className="h-[24rem] border border-line-strong sm:h-[clamp(22rem,calc(100dvh-26rem),44rem)]"
          />
          {!isWide && noted}
          {mayRead && <DaySlider time={time} />}
        </div>
        <aside className="flex flex-col gap-4">
          {isWide && noted}
          <section aria-label={t('map:legend.title', { lens: t(`map:lens.${lens.key}`) })}>
            <h2 className="mb-1 font-title text-lg">{t(`map:lens.${lens.key}`)}</h2>
            {view.legend}
          </section>
        </aside>
      </div>
      <BedList beds={beds} planted={day.planted} on={time.restedOn} />
    </>
  );
}
