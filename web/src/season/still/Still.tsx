import type { Bed } from '@unity-acre/contract/ground';
import type { Planting } from '@unity-acre/contract/season';
import { addDays, type Day, isDay } from '@unity-acre/core/calendar';
import { methods } from '@unity-acre/core/crops';
import { type StillSown, stillSown } from '@unity-acre/core/season';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useSearchParams } from 'react-router';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import {
  BedSelect,
  datesAlone,
  useAlmanac,
  useBothSeasons,
  useCoordinates,
  useHere,
  useList,
  useMeasure,
} from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { DateField, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { Field } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { spansOf } from '../bands/index.ts';

/** What can be started on a day, in a bed or anywhere. */
export default function Still() {
  const { t } = useTranslation('season');
  const beds = useList('beds');
  const plantings = useBothSeasons(datesAlone);
  return (
    <Screen title={t('still.title')}>
      <PlacePaths of="season" />
      <Loaded of={beds}>
        {(list) => <Loaded of={plantings}>{(all) => <Open beds={list} plantings={all} />}</Loaded>}
      </Loaded>
    </Screen>
  );
}

function Open({ beds, plantings }: { beds: Bed[]; plantings: Planting[] }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const [search] = useSearchParams();
  const [asked, setAsked] = useState(() => ({
    on: search.get('on') ?? garden.today,
    bed: search.get('bed') ?? '',
    method: search.get('method') ?? '',
  }));
  const catalogue = useCatalogue();
  const on = isDay(asked.on) ? asked.on : garden.today;
  const bed = beds.find(({ id }) => id === asked.bed) ?? null;
  const method = methods.find((one) => one === asked.method) ?? null;
  const almanac = useAlmanac(bed ?? null);
  const all = useMemo(
    () => stillSown(catalogue.crops, almanac, garden.rules, on),
    [catalogue, almanac, garden.rules, on],
  );
  const open = method ? all.filter((one) => one.method === method) : all;
  const choose = (name: keyof typeof asked, value: string) => setAsked((now) => ({ ...now, [name]: value }));
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <Field label={t('still.on')}>
          {(props) => (
            <DateField
              {...props}
              gives="done"
              className="w-48"
              value={on}
              onChange={(value) => choose('on', value)}
            />
          )}
        </Field>
        <Field label={t('still.bed')}>
          {(props) => (
            <BedSelect
              {...props}
              className="w-44"
              value={bed?.id ?? ''}
              onChange={(value) => choose('bed', value)}
              none={t('still.anyBed')}
            />
          )}
        </Field>
        <Field label={t('still.method')}>
          {(props) => (
            <Select
              {...props}
              className="w-52"
              value={method ?? ''}
              onChange={(value) => choose('method', value)}
              options={[
                { value: '', label: t('still.anyMethod') },
                ...methods.map((one) => ({ value: one, label: t(`method.${one}`) })),
              ]}
            />
          )}
        </Field>
        {bed && <InTheBed bed={bed} plantings={plantings} on={on} />}
      </div>
      {open.length === 0 ? (
        <Bare title={t('still.none')}>{t('still.noneHint')}</Bare>
      ) : (
        <section className="furrow">
          <p className="text-ink-soft text-sm">
            {t('still.lead')}{' '}
            {t('still.count', {
              count: open.length,
              crops: t('still.crops', { count: new Set(open.map((one) => one.crop.id)).size }),
            })}
          </p>
          <ul>
            {open.map((one) => (
              <OpenRow key={`${one.crop.id} ${one.method} ${one.cropping}`} one={one} on={on} bed={bed} />
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** What stands in the bed on the day, or until when it is free. */
function InTheBed({ bed, plantings, on }: { bed: Bed; plantings: Planting[]; on: Day }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const names = useCropNames();
  const spans = spansOf(plantings.filter((planting) => planting.bedId === bed.id));
  const there = spans.filter((span) => span.inGround <= on && span.lastPick >= on);
  const next = spans
    .map((span) => span.inGround)
    .filter((day) => day > on)
    .sort()[0];
  const say =
    there.length > 0
      ? t('still.occupied', {
          bed: bed.name,
          crops: [...new Set(there.map((span) => names.inText(span.planting.cropId)))].join(', '),
        })
      : next
        ? t('still.free', { bed: bed.name, day: dates.short(addDays(next, -1)) })
        : t('still.freeAll', { bed: bed.name });
  return <p className="min-h-target content-center border-rain border-l-4 bg-rain-soft px-3">{say}</p>;
}

function OpenRow({ one, on, bed }: { one: StillSown; on: Day; bed: Bed | null }) {
  const { t } = useTranslation('season');
  const dates = useDates();
  const names = useCropNames();
  const coordinates = useCoordinates();
  const { number } = useMeasure();
  const { crop, method, cropping, daysLeft, latest, firstPick, clear, lost, stands, variety } = one;
  const urgent = daysLeft <= 7;
  const picks =
    firstPick === null
      ? clear && t('still.cover', { day: dates.bare(clear) })
      : firstPick.slice(0, 4) > on.slice(0, 4)
        ? t('still.pickIn', { year: firstPick.slice(0, 4) })
        : t('still.pick', { day: dates.bare(firstPick) });
  const search = new URLSearchParams({
    crop: crop.id,
    variety: variety.id,
    method,
    cropping,
    year: String(one.year),
    start: on,
  });
  return (
    <li className="grid items-center gap-x-4 gap-y-0.5 border-line border-b py-1.5 sm:grid-cols-[1.6rem_minmax(0,15rem)_minmax(0,13rem)_minmax(0,1fr)_auto]">
      <span className="hidden sm:block">
        <FamilyMark family={crop.family} size={22} />
      </span>
      <span>
        <Link to={`/season/crops/${crop.id}`} className="font-semibold hover:underline">
          {names.crop(crop.id)}
        </Link>
        <span className="block text-ink-soft text-sm">
          {names.method(crop.id, method)}, {t(`cropping.${cropping}`)}
        </span>
      </span>
      <span className={urgent ? 'text-beet' : ''}>
        {daysLeft === 0 ? t('still.today') : t('still.left', { count: daysLeft })}
        <span className="block text-ink-soft text-sm">{t('still.last', { day: dates.short(latest) })}</span>
      </span>
      <span>
        {picks}
        <span className="block text-ink-soft text-sm">
          {t(`still.stands.${stands}`)}
          {lost !== null && lost >= 0.05 && (
            <span className={lost >= 0.5 ? 'text-beet' : ''}>
              {' · '}
              {t('still.lost', { percent: number(lost * 100, 0) })}
            </span>
          )}
        </span>
      </span>
      {coordinates && bed ? (
        <Link
          to={`/ground/${bed.id}/plan?${search}`}
          className="inline-flex min-h-target items-center underline decoration-line-strong underline-offset-4"
        >
          {t('still.plan')}
        </Link>
      ) : null}
    </li>
  );
}
