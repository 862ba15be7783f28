import { useQuery } from '@tanstack/react-query';
import { type FrostWatch, frostCallInput } from '@unity-acre/contract/work';
import { mayFreeze } from '@unity-acre/core/place';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCropNames } from '../../crops/names.ts';
import { listKey, useHere, useList, useMeasure, useWrite } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button, Checkbox, DateField, ScrollArea, TimeField } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import type { Refused } from '../../kit/refused.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';

/** Mid-afternoon, while the ground still holds the day's warmth. */
const [COVER_FROM, COVER_TO] = ['15:00', '16:30'];
/** Who lives within so many minutes is asked unless somebody says otherwise. */
const NEAR_MIN = 20;
/** Who is free is named first, the nearest first among them. */
const order = { free: 0, unsaid: 1, away: 2 } as const;

/** Frost may come: what to cover with how much cloth, and everybody near and free written to in one go. */
export default function FrostPage() {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const [when, setWhen] = useState({ on: garden.today, from: COVER_FROM, to: COVER_TO });
  const watch = useQuery<FrostWatch, Refused>({
    queryKey: listKey(garden.id, 'frostWatch', when),
    queryFn: async () => (await ask('frostWatch', { params: { gardenId: garden.id }, query: when })).data,
    placeholderData: (before) => before,
    retry: false,
  });
  return (
    <Screen title={t('frost.title')}>
      <p className="max-w-prose text-ink-soft">{t('frost.lead')}</p>
      <Loaded of={watch}>
        {(frost) => (
          <>
            <Nights nights={frost.nights} />
            {frost.covers.length === 0 ? (
              <Bare title={t('frost.none')}>
                <p>{t('frost.noneHint')}</p>
              </Bare>
            ) : (
              <CallOut frost={frost} when={when} setWhen={setWhen} />
            )}
          </>
        )}
      </Loaded>
    </Screen>
  );
}

function Nights({ nights }: Pick<FrostWatch, 'nights'>) {
  const { t } = useTranslation('day');
  const dates = useDates();
  const { temperature, degreesApart } = useMeasure();
  return (
    <section className="furrow">
      <h2>{t('frost.nights')}</h2>
      <ol className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {nights.map((night) => (
          <li key={night.on} className={mayFreeze(night) ? 'font-semibold text-rain' : ''}>
            {dates.short(night.on)}:{' '}
            {t('frost.low', { low: temperature(night.low), give: degreesApart(night.give) })}
          </li>
        ))}
      </ol>
    </section>
  );
}

type When = { on: string; from: string; to: string };

function CallOut({ frost, when, setWhen }: { frost: FrostWatch; when: When; setWhen(when: When): void }) {
  const { t } = useTranslation('day');
  const navigate = useNavigate();
  const names = useCropNames();
  const beds = useList('beds').data ?? [];
  const { length, area, temperature } = useMeasure();
  const [sessionId] = useState(() => newId());
  const call = useWrite('frostCall', ({ data }) =>
    t('frost.called', { count: form.getValues('personIds').length, title: data.title }),
  );
  const sizeOf = (cover: FrostWatch['covers'][number]) =>
    t('frost.size', { length: length(cover.length), width: length(cover.width) });
  const nameOf = (id: string) => beds.find((bed) => bed.id === id)?.name ?? '';
  const cropsOf = (ids: string[]) => ids.map((id) => names.inText(id)).join(', ');
  const cloth = frost.covers.reduce((sum, cover) => sum + cover.length * cover.width, 0);
  const covered = frost.covers.filter(({ sheet }) => sheet !== null).length;
  const askable = frost.people.toSorted((a, b) => order[a.free] - order[b.free]);
  const near = frost.people.filter(
    ({ free, minutesAway }) => free === 'free' && (minutesAway ?? NEAR_MIN) <= NEAR_MIN,
  );
  const form = useBodyForm({
    draft: 'frost call',
    schema: frostCallInput,
    defaults: { ...when, meetAt: '', personIds: near.map(({ personId }) => personId) },
    toBody: (values) => ({
      ...values,
      sessionId,
      bedIds: [...new Set(frost.covers.map(({ bedId }) => bedId))],
      title: t('frost.sessionTitle'),
      list: frost.covers
        .map((cover) =>
          t('frost.lineOf', {
            bed: nameOf(cover.bedId),
            crops: cropsOf(cover.cropIds),
            size: sizeOf(cover),
          }),
        )
        .join('; ')
        .slice(0, 900),
    }),
    send: async (body) => {
      await call.mutateAsync({ body });
      navigate('/sessions');
    },
  });
  const { errors } = form.formState;
  const chosen = form.watch('personIds');
  const time = (name: keyof When) => {
    const { value, onChange } = form.control(name);
    const change = (next: string) => {
      onChange(next);
      setWhen(form.getValues());
    };
    return { name, value, onChange: change };
  };
  return (
    <Form
      of={form}
      className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]"
    >
      <section className="furrow">
        <h2>{t('frost.cover')}</h2>
        <ul>
          {frost.covers.map((cover) => (
            <li
              key={`${cover.bedId} ${cover.from}`}
              className="flex items-center gap-4 border-line border-b py-2"
            >
              <Cloth cover={cover} longest={Math.max(...frost.covers.map((one) => one.length))} />
              <span>
                <strong>{nameOf(cover.bedId)}</strong>, {sizeOf(cover)}
                <span className="block text-ink-soft text-sm">
                  {cropsOf(cover.cropIds)} · {t('frost.downTo', { low: temperature(cover.lowC) })}
                </span>
                {frost.sheets > 0 && (
                  <span className={`block text-sm ${cover.sheet ? 'text-leaf' : 'text-beet'}`}>
                    {cover.sheet
                      ? t('frost.sheet', {
                          width: length(cover.sheet.width),
                          length: length(cover.sheet.length),
                        })
                      : t('frost.noSheet')}
                  </span>
                )}
              </span>
            </li>
          ))}
        </ul>
        <p className="mt-2 font-semibold">
          {t('frost.total', { count: frost.covers.length, area: area(cloth) })}
        </p>
        {frost.sheets > 0 ? (
          <p>{t('frost.sheets', { count: frost.covers.length, covered })}</p>
        ) : (
          <p className="text-sm">
            {t('frost.count')}{' '}
            <Link to="/tools" className="underline underline-offset-4">
              {t('frost.toTools')}
            </Link>
          </p>
        )}
        <p className="text-ink-soft text-sm">
          {t('frost.held')} {t('frost.off')}
        </p>
      </section>
      <div className="flex flex-col gap-6">
        <section className="furrow">
          <h2>{t('frost.when')}</h2>
          <div className="mt-1 grid grid-cols-2 items-start gap-3">
            <Field label={t('frost.on')} name="on">
              {(props) => <DateField {...props} gives="done" {...time('on')} />}
            </Field>
            <Field label={t('frost.meetAt')} name="meetAt">
              {(props) => <input {...props} {...form.register('meetAt')} className="input" />}
            </Field>
            <Field label={t('frost.from')} name="from">
              {(props) => <TimeField {...props} {...time('from')} />}
            </Field>
            <Field label={t('frost.to')} name="to">
              {(props) => <TimeField {...props} {...time('to')} />}
            </Field>
          </div>
        </section>
        <section className="furrow">
          <h2>{t('frost.who')}</h2>
          <ScrollArea label={t('frost.who')} className="h-80">
            <ul>
              {askable.map((person) => (
                <li key={person.personId} className="border-line border-b">
                  <Checkbox
                    label={
                      <span className="flex flex-wrap items-baseline gap-x-3">
                        {person.name}
                        <span className="text-ink-soft text-sm">
                          {person.minutesAway === null
                            ? t('frost.awayUnknown')
                            : t('frost.away', { minutes: person.minutesAway })}
                          {' · '}
                          {t(`frost.free.${person.free}`)}
                        </span>
                      </span>
                    }
                    {...form.checkIn('personIds', person.personId)}
                  />
                </li>
              ))}
            </ul>
          </ScrollArea>
          {errors.personIds && <p className="text-beet text-sm">{t('frost.nobody')}</p>}
        </section>
        <FormFaults />
        <p className="border-blossom border-l-4 bg-straw-soft px-3 py-1.5 text-sm">{t('frost.ice')}</p>
        <p>
          <Button type="submit" look="act" disabled={form.busy}>
            {t('frost.call', { count: chosen.length })}
          </Button>
        </p>
      </div>
    </Form>
  );
}

/** The width of the longest cover's drawing. */
const DRAWN = 120;

/** A cover to scale beside the others. */
function Cloth({ cover, longest }: { cover: FrostWatch['covers'][number]; longest: number }) {
  const scale = DRAWN / longest;
  return (
    <svg width={DRAWN} height={Math.max(12, cover.width * scale)} className="shrink-0" aria-hidden>
      <rect
        width={cover.length * scale}
        height={Math.max(10, cover.width * scale) - 2}
        y="1"
        className="fill-rain-soft stroke-rain"
        strokeWidth="1.5"
      />
    </svg>
  );
}
