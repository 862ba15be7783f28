import { useQuery } from '@tanstack/react-query';
import type { AllotmentLook, PlotApplication } from '@unity-acre/contract/crew';
import { addDays } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { listKey, useHere, useWrite } from '../../garden/index.ts';
import { ask } from '../../kit/ask.ts';
import { Button, DateField, Select } from '../../kit/controls/index.ts';
import { Field, RefusedNote } from '../../kit/forms/index.ts';
import type { Refused } from '../../kit/refused.ts';

/** Days people have to accept the agreement. */
const TO_ACCEPT = 14;

/** What a public draw and the best overall fit would give, side by side, and giving out by one of them. */
export function AllotmentCompare({ year, applications }: { year: number; applications: PlotApplication[] }) {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const [rule, setRule] = useState<'returningFirst' | 'allAlike'>('returningFirst');
  const [seed, setSeed] = useState('');
  const [asked, setAsked] = useState<{ rule: typeof rule; seed: string } | null>(null);
  const [acceptBy, setAcceptBy] = useState(addDays(garden.today, TO_ACCEPT));
  const look = useQuery<AllotmentLook, Refused>({
    queryKey: listKey(garden.id, 'lookAtAllotment', year, asked),
    queryFn: async () =>
      (await ask('lookAtAllotment', { params: { gardenId: garden.id, year }, query: asked! })).data,
    enabled: asked !== null,
    retry: false,
  });
  const give = useWrite('giveOutPlots', ({ data }) =>
    t('gaveOut', { year, count: data.places.filter(({ bedId }) => bedId !== null).length }),
  );
  const fault = look.error?.problem.errors?.[0];
  const giveBy = (method: 'draw' | 'bestFit') =>
    asked && give.mutate({ params: { year }, body: { ...asked, method, acceptBy } });
  return (
    <section className="furrow">
      <h2>{t('compare')}</h2>
      <form
        className="mt-1 flex max-w-3xl flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          setAsked({ rule, seed: seed.trim() });
        }}
      >
        <Field label={t('rule')}>
          {(props) => (
            <Select
              {...props}
              className="max-w-sm"
              value={rule}
              onChange={(value) => setRule(value as typeof rule)}
              options={(['returningFirst', 'allAlike'] as const).map((one) => ({
                value: one,
                label: t(`rules.${one}`),
              }))}
            />
          )}
        </Field>
        <Field
          label={t('seed')}
          hint={t('seedHint')}
          error={fault?.field === 'seed' ? fault.code : undefined}
        >
          {(props) => (
            <input
              {...props}
              className="input max-w-sm"
              value={seed}
              onChange={(event) => setSeed(event.target.value)}
            />
          )}
        </Field>
        {fault?.field === 'year' && (
          <Field label={t('year')} error={fault.code}>
            {() => <span>{year}</span>}
          </Field>
        )}
        {look.error && !fault && <RefusedNote refused={look.error} />}
        <p>
          <Button type="submit" look="act">
            {t('look')}
          </Button>
        </p>
      </form>
      {look.data && (
        <>
          <Schools look={look.data} applications={applications} />
          <div className="mt-4 flex flex-wrap items-end gap-3">
            <Field label={t('acceptBy')}>
              {(props) => <DateField {...props} value={acceptBy} onChange={(value) => setAcceptBy(value)} />}
            </Field>
            <Button disabled={give.isPending} onClick={() => giveBy('draw')}>
              {t('give')}
            </Button>
            <Button disabled={give.isPending} onClick={() => giveBy('bestFit')}>
              {t('giveFit')}
            </Button>
          </div>
        </>
      )}
    </section>
  );
}

function Schools({ look, applications }: { look: AllotmentLook; applications: PlotApplication[] }) {
  const { t } = useTranslation('plots');
  const schools = ['draw', 'bestFit'] as const;
  const plotOf = (school: (typeof schools)[number], id: string) => {
    const bedId = look[school].places.find(({ applicationId }) => applicationId === id)?.bedId;
    return look.plots.find((plot) => plot.id === bedId);
  };
  // In the order of the draw, as it would be read out.
  const order = look.record.entrants.flatMap(({ id }) => applications.find((one) => one.id === id) ?? []);
  const place = (one: PlotApplication, plotId: string | undefined) => {
    const wish = plotId ? one.wishes.indexOf(plotId) : -1;
    return wish >= 0 ? ` (${wish + 1})` : '';
  };
  return (
    <section
      aria-label={t('compare')}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      className="relative mt-5 overflow-x-auto"
    >
      <table className="w-full max-w-4xl table-fixed">
        <thead>
          <tr className="align-top">
            <th className="w-56 border-line-strong border-b py-1.5 text-left font-semibold text-sm">
              {t('order')}
            </th>
            {schools.map((school) => (
              <th key={school} className="border-line-strong border-b px-3 py-1.5 text-left">
                <h3>{t(school)}</h3>
                <span className="block font-normal text-ink-soft text-sm">{t(`${school}Say`)}</span>
                <Outcome of={look[school].outcome} n={applications.length} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {order.map((one, i) => {
            const [drawn, fit] = schools.map((school) => plotOf(school, one.id));
            return (
              <tr key={one.id}>
                <th scope="row" className="border-line border-b py-1.5 text-left font-normal">
                  {i + 1}. {one.name}
                </th>
                <td className="border-line border-b px-3">
                  {drawn ? (
                    drawn.name + place(one, drawn.id)
                  ) : (
                    <span className="text-beet">{t('nothing')}</span>
                  )}
                </td>
                <td className="border-line border-b px-3">
                  {fit ? (
                    <span className={fit.id === drawn?.id ? 'text-ink-soft' : 'font-semibold'}>
                      {fit.id === drawn?.id ? t('same') : fit.name + place(one, fit.id)}
                    </span>
                  ) : (
                    <span className="text-beet">{t('nothing')}</span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function Outcome({ of, n }: { of: AllotmentLook['draw']['outcome']; n: number }) {
  const { t } = useTranslation('plots');
  const named = of.byWish.slice(0, -1);
  const lines = [
    t('given', { given: of.given, n }),
    ...named.flatMap((count, i) => (count > 0 ? [t('wish', { count, place: i + 1 })] : [])),
    ...(of.byWish.at(-1)! > 0 ? [t('unnamed', { count: of.byWish.at(-1) })] : []),
    ...(of.kept > 0 ? [t('kept', { count: of.kept })] : []),
  ];
  return (
    <ul className="mt-1 font-normal text-sm">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}
