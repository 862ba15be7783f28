import { gardenInput } from '@unity-acre/contract/place';
import { addDays, dayIn } from '@unity-acre/core/calendar';
import {
  dayLengthHours,
  frostDates,
  frostRisk,
  growingDays,
  lastFrostPast,
  noonAltitude,
} from '@unity-acre/core/place';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { useBodyForm } from '../kit/form.tsx';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { seasonYearOf } from '../season/year.ts';
import { FrostChart } from './FrostChart.tsx';
import { GardenFields, type GardenValues, gardenBody, gardenValues } from './gardenForm.tsx';

/** The garden's place and what follows from it. */
export default function GardenSetUp() {
  const { t } = useTranslation('place');
  const { garden } = useHere();
  return (
    <div className="flex flex-col gap-7">
      <h1>{t('page.title')}</h1>
      <div className="grid gap-10 xl:grid-cols-[minmax(0,34rem)_1fr]">
        <GardenForm key={garden.version} />
        <PlaceFacts />
      </div>
    </div>
  );
}

function GardenForm() {
  const { t } = useTranslation(['place', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const save = useWrite('saveGarden', () => t('place:saved'));
  const form = useBodyForm<GardenValues, ReturnType<typeof gardenInput.parse>>({
    schema: gardenInput,
    defaults: gardenValues(garden),
    version: garden.version,
    toValues: gardenValues,
    toBody: gardenBody,
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  return (
    <form onSubmit={form.submit} noValidate className="furrow flex flex-col gap-4">
      <h2>{t('place:page.place')}</h2>
      <GardenFields
        register={form.register}
        errors={form.formState.errors}
        values={form.watch()}
        readOnly={!coordinates}
      />
      <RefusedNote refused={form.refused} clash={form.clash} />
      {coordinates && (
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('kit:save')}
        </Button>
      )}
    </form>
  );
}

function PlaceFacts() {
  const { t } = useTranslation('place');
  const { garden } = useHere();
  const dates = useDates();
  const { number } = useMeasure();
  const year = seasonYearOf(garden, garden.today);
  const { lastFrost, firstFrost } = frostDates(garden, year);
  const sun = (day: string) => ({
    hours: number(dayLengthHours(day, garden.latitude, garden.longitude), 1),
    altitude: number(noonAltitude(day, garden.latitude, garden.longitude), 0),
  });
  const days = [
    { name: t('facts.today'), day: garden.today },
    { name: t('facts.june'), day: dayIn(year, '06-21') },
    { name: t('facts.december'), day: dayIn(year, '12-21') },
  ];
  return (
    <div className="flex flex-col gap-8">
      <section className="furrow">
        <h2>{t('facts.frost')}</h2>
        <FrostChart />
        <dl className="mt-3 grid gap-x-6 gap-y-1 sm:grid-cols-[auto_1fr]">
          <dt className="text-ink-soft">{t('facts.last')}</dt>
          <dd>
            {t('facts.range', {
              early: dates.short(lastFrostPast(garden, year, 0.1)),
              median: dates.short(lastFrost),
              late: dates.short(lastFrostPast(garden, year, 0.9)),
            })}
          </dd>
          <dt className="text-ink-soft">{t('facts.first')}</dt>
          <dd>{t('facts.median', { median: dates.short(firstFrost) })}</dd>
          <dt className="text-ink-soft">{t('facts.growing')}</dt>
          <dd>{t('facts.growingDays', { days: growingDays(garden, year) })}</dd>
          <dt className="text-ink-soft">{t('facts.risk')}</dt>
          <dd>
            {t('facts.riskOn', {
              percent: number(frostRisk(garden, year, garden.today) * 100, 0),
              day: dates.short(garden.today),
              later: number(frostRisk(garden, year, addDays(garden.today, 7)) * 100, 0),
            })}
          </dd>
        </dl>
        <p className="mt-2 max-w-prose text-ink-soft text-sm">{t('facts.frostNote')}</p>
      </section>
      <section className="furrow">
        <h2>{t('facts.sun')}</h2>
        <table className="mt-2 w-full max-w-md text-left">
          <thead className="text-ink-soft text-sm">
            <tr>
              <th className="font-normal">{t('facts.day')}</th>
              <th className="text-right font-normal">{t('facts.dayLength')}</th>
              <th className="text-right font-normal">{t('facts.noon')}</th>
            </tr>
          </thead>
          <tbody>
            {days.map(({ name, day }) => (
              <tr key={name} className="border-line border-t">
                <td className="py-1.5">
                  {name}, {dates.bare(day)}
                </td>
                <td className="text-right">{sun(day).hours} h</td>
                <td className="text-right">{sun(day).altitude}°</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
