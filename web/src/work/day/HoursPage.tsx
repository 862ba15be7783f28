import { csvOf } from '@unity-acre/contract/csv';
import type { HoursOf } from '@unity-acre/contract/work';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../../kit/Button.tsx';
import { useHere, useLeads, useList, useSeasonList } from '../../kit/garden.ts';
import { useMeasure } from '../../kit/measure.ts';
import { Bare, Loaded } from '../../kit/states.tsx';
import { seasonYearOf } from '../../season/year.ts';
import { SessionPaths } from '../SessionPaths.tsx';
import { Certificate } from './Certificate.tsx';
import { GivenSheet, type Visit } from './GivenSheet.tsx';
import { VisitsSheet } from './VisitsSheet.tsx';

/** How far back a season may be looked at. */
const SEASONS = 5;

/** Hours people gave, against what they pledged, and their certificates. */
export default function HoursPage() {
  const { t } = useTranslation('day');
  const { garden, personId } = useHere();
  const leads = useLeads();
  const now = seasonYearOf(garden, garden.today);
  const [year, setYear] = useState(now);
  const hours = useSeasonList('hours', year);
  const people = useList('people', leads);
  const [logging, setLogging] = useState<{ personId: string; visit: Visit | null } | null>(null);
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-col gap-6 print:hidden">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h1>{t('hours.title')}</h1>
          {hours.data?.some((one) => one.personId === personId) && (
            <Button look="act" onClick={() => setLogging({ personId, visit: null })}>
              <Plus aria-hidden size={18} />
              {t('hours.log')}
            </Button>
          )}
        </div>
        <SessionPaths />
        <p className="max-w-prose text-ink-soft">{t('hours.lead')}</p>
        <label className="flex items-center gap-2">
          <span className="font-semibold text-sm">{t('hours.year')}</span>
          <select
            className="input w-28"
            value={year}
            onChange={(event) => setYear(Number(event.target.value))}
          >
            {Array.from({ length: SEASONS }, (_, i) => now - i).map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        </label>
      </div>
      <Loaded of={hours}>
        {(list) => (
          <Table
            list={list}
            year={year}
            heads={new Map(people.data?.map((one) => [one.id, one.headcount]))}
            onCorrect={(personId, visit) => setLogging({ personId, visit })}
          />
        )}
      </Loaded>
      {logging && <GivenSheet people={hours.data ?? []} {...logging} onClose={() => setLogging(null)} />}
    </div>
  );
}

function Table({
  list,
  year,
  heads,
  onCorrect,
}: {
  list: HoursOf[];
  year: number;
  heads: Map<string, number>;
  onCorrect(personId: string, visit: Visit): void;
}) {
  const { t } = useTranslation('day');
  const { number } = useMeasure();
  const [shown, setShown] = useState<HoursOf | null>(null);
  const [opened, setOpened] = useState<HoursOf | null>(null);
  const inHours = (minutes: number) => number(minutes / 60, 1);
  const given = list.filter(({ minutes, pledged }) => minutes > 0 || pledged !== null);
  if (given.every(({ minutes }) => minutes === 0)) return <Bare title={t('hours.none')} />;
  const sum = (of: (one: HoursOf) => number) => given.reduce((total, one) => total + of(one), 0);
  const left = ({ pledged, minutes }: HoursOf) => Math.max(0, (pledged ?? 0) - minutes);
  const saveCsv = () => {
    const rows = given.map((one) => [
      one.name,
      one.visits.length,
      one.minutes / 60,
      one.pledged === null ? '' : one.pledged / 60,
      left(one) / 60,
      one.headMinutes / 60,
    ]);
    const heading = (['person', 'visits', 'given', 'pledged', 'left', 'heads'] as const).map((key) =>
      t(`hours.${key}`),
    );
    const address = URL.createObjectURL(new Blob([csvOf([heading, ...rows])], { type: 'text/csv' }));
    Object.assign(document.createElement('a'), { href: address, download: `hours-${year}.csv` }).click();
    URL.revokeObjectURL(address);
  };
  const cell = 'border-line border-b px-3 py-1.5 text-right tabular-nums';
  return (
    <>
      {shown && (
        <Certificate
          hours={shown}
          year={year}
          heads={heads.get(shown.personId) ?? 1}
          onClose={() => setShown(null)}
        />
      )}
      {opened && (
        <VisitsSheet
          hours={opened}
          onEdit={(visit) => {
            setOpened(null);
            onCorrect(opened.personId, visit);
          }}
          onClose={() => setOpened(null)}
        />
      )}
      <section
        aria-label={t('hours.title')}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
        tabIndex={0}
        className="relative overflow-x-auto print:hidden"
      >
        <table className="w-full max-w-4xl">
          <thead>
            <tr className="text-ink-soft text-sm">
              <th className="border-line-strong border-b py-1.5 text-left font-semibold">
                {t('hours.person')}
              </th>
              {(['visits', 'given', 'pledged', 'left', 'heads'] as const).map((key) => (
                <th key={key} className="border-line-strong border-b px-3 py-1.5 text-right font-semibold">
                  {t(`hours.${key}`)}
                </th>
              ))}
              <th className="border-line-strong border-b">
                <span className="sr-only">{t('hours.certificate')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {given.map((one) => (
              <tr key={one.personId} className="h-11">
                <th scope="row" className="border-line border-b py-1.5 text-left font-normal">
                  {one.name}
                </th>
                <td className={cell}>
                  {one.visits.length > 0 ? (
                    <button
                      type="button"
                      className="min-h-target min-w-target text-right underline"
                      onClick={() => setOpened(one)}
                    >
                      {one.visits.length}
                      <span className="sr-only">: {t('hours.of', { name: one.name })}</span>
                    </button>
                  ) : (
                    0
                  )}
                </td>
                <td className={`${cell} font-semibold`}>{inHours(one.minutes)}</td>
                <td className={cell}>{one.pledged === null ? '–' : inHours(one.pledged)}</td>
                <td className={`${cell} ${left(one) > 0 ? 'text-beet' : ''}`}>
                  {one.pledged === null ? '–' : inHours(left(one))}
                </td>
                <td className={cell}>{inHours(one.headMinutes)}</td>
                <td className="border-line border-b py-1 text-right">
                  {one.minutes > 0 && (
                    <Button look="quiet" onClick={() => setShown(one)}>
                      {t('hours.certificate')}
                      <span className="sr-only">: {one.name}</span>
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr className="font-semibold">
              <th scope="row" className="py-1.5 text-left">
                {t('hours.total')}
              </th>
              <td className="px-3 text-right tabular-nums">{sum((one) => one.visits.length)}</td>
              <td className="px-3 text-right tabular-nums">{inHours(sum(({ minutes }) => minutes))}</td>
              <td className="px-3 text-right tabular-nums">{inHours(sum(({ pledged }) => pledged ?? 0))}</td>
              <td className="px-3 text-right tabular-nums">{inHours(sum(left))}</td>
              <td className="px-3 text-right tabular-nums">
                {inHours(sum(({ headMinutes }) => headMinutes))}
              </td>
              <td />
            </tr>
          </tfoot>
        </table>
      </section>
      <p className="print:hidden">
        <Button onClick={saveCsv}>{t('hours.csv')}</Button>
      </p>
    </>
  );
}
