import type { Bed } from '@unity-acre/contract/ground';
import {
  computeMilestones,
  MOST_IN_SERIES,
  type SuccessionBy,
  startOf,
  succession,
} from '@unity-acre/core/season';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useAlmanac, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Disclosure, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field } from '../../kit/forms/index.ts';
import type { PlanValues } from './Planner.tsx';
import { planAsTyped } from './planOf.ts';

/** More sowings of the same, spaced by their sowing or by their picking; planned and undone together. */
export function Series({ bed, values, bare }: { bed: Bed; values: PlanValues; bare: 'ft' | 'm' }) {
  const { t } = useTranslation('season');
  const { garden } = useHere();
  const navigate = useNavigate();
  const dates = useDates();
  const names = useCropNames();
  const { length } = useMeasure();
  const catalogue = useCatalogue();
  const almanac = useAlmanac(bed, values.protection);
  const [by, setBy] = useState<SuccessionBy>('harvest');
  const [every, setEvery] = useState('14');
  const [count, setCount] = useState('3');
  const save = useWrite('savePlantings', ({ data }) => {
    const starts = data.map((row) => row.startOn!);
    return t('series.saved', {
      crop: names.crop(data[0]!.cropId),
      bed: bed.name,
      count: data.length,
      from: dates.bare(starts[0]!),
      to: dates.bare(starts.at(-1)!),
    });
  });
  const typed = planAsTyped(values, bed, catalogue, bare);
  const steps = typed && computeMilestones(typed.plan, almanac, garden.rules);
  const first = steps && startOf(steps)?.on;
  const days = Number(every);
  const wanted = Number(count);
  const isReadable =
    Number.isInteger(days) &&
    days >= 1 &&
    days <= 120 &&
    Number.isInteger(wanted) &&
    wanted >= 2 &&
    wanted <= MOST_IN_SERIES;
  const series =
    typed && first && isReadable
      ? succession(typed.plan, almanac, garden.rules, first, by, days, wanted)
      : null;
  const send = async () => {
    if (!typed || !series) return;
    const plantings = series.map(({ startOn }) => ({
      ...typed.body,
      id: newId(),
      length: typed.length / series.length,
      startOn,
    }));
    await save.mutateAsync({ body: { plantings } });
    await navigate(`/ground/${bed.id}`);
  };
  return (
    <Disclosure
      className="furrow"
      summary={<span className="font-semibold font-title text-xl">{t('series.title')}</span>}
    >
      <p className="mb-2 text-ink-soft text-sm">{t('series.hint')}</p>
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('series.by')}>
          {(props) => (
            <Select
              {...props}
              value={by}
              onChange={(value) => setBy(value as SuccessionBy)}
              options={[
                { value: 'harvest', label: t('series.harvest') },
                { value: 'sowing', label: t('series.sowing') },
              ]}
            />
          )}
        </Field>
        <Field
          label={t('series.every')}
          error={Number.isInteger(days) && days >= 1 ? (days > 120 ? 'atMost:120' : undefined) : 'atLeast:1'}
        >
          {(props) => (
            <input
              {...props}
              className="input"
              inputMode="numeric"
              value={every}
              onChange={(event) => setEvery(event.target.value)}
            />
          )}
        </Field>
        <Field
          label={t('series.count')}
          error={
            Number.isInteger(wanted) && wanted >= 2
              ? wanted > MOST_IN_SERIES
                ? `atMost:${MOST_IN_SERIES}`
                : undefined
              : 'atLeast:2'
          }
        >
          {(props) => (
            <input
              {...props}
              className="input"
              inputMode="numeric"
              value={count}
              onChange={(event) => setCount(event.target.value)}
            />
          )}
        </Field>
      </div>
      {series && typed && (
        <>
          <table className="mt-3 w-full text-left text-sm">
            <thead className="text-ink-soft">
              <tr>
                <th className="font-normal">{t('series.start')}</th>
                <th className="font-normal">{t('series.pick')}</th>
              </tr>
            </thead>
            <tbody>
              {series.map((one) => (
                <tr key={one.startOn} className="border-line border-t">
                  <td className="py-1">{dates.short(one.startOn)}</td>
                  <td>
                    {dates.short(one.firstPick)}
                    {!one.inWindow && <strong className="ml-2 text-beet">{t('series.late')}</strong>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="my-2 text-ink-soft text-sm">
            {t('series.share', { length: length(typed.length / series.length) })}
          </p>
          <Button disabled={save.isPending} onClick={() => void send().catch(() => undefined)}>
            {t('series.keep', { count: series.length })}
          </Button>
        </>
      )}
    </Disclosure>
  );
}
