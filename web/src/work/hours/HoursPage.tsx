import { csvOf } from '@unity-acre/contract/csv';
import type { HoursOf } from '@unity-acre/contract/work';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useLeads, useList, useMeasure, useSeasonList, YearSelect } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { type DataColumn, DataTable } from '../../kit/lists/index.ts';
import { Bare, Loaded, Title } from '../../kit/screens/index.ts';
import { Certificate } from './Certificate.tsx';
import { GivenSheet, type Visit } from './GivenSheet.tsx';
import { VisitsSheet } from './VisitsSheet.tsx';

/** How far back a season may be looked at. */
const SEASONS = 5;

/** Hours people gave, against what they pledged, and their certificates. */
export default function HoursPage() {
  return <Hours />;
}

/** @param mine one's own alone */
export function Hours({ mine = false }: { mine?: boolean }) {
  const { t } = useTranslation('day');
  const { garden, personId } = useHere();
  const leads = useLeads();
  const now = garden.seasonYear;
  const [year, setYear] = useState(now);
  const hours = useSeasonList('hours', year);
  const people = useList('people', leads);
  const [logging, setLogging] = useState<{ personId: string; visit: Visit | null } | null>(null);
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-col gap-6 print:hidden">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <Title>{mine ? t('hours.mine') : t('hours.title')}</Title>
          {hours.data?.some((one) => one.personId === personId) && (
            <Button look="act" onClick={() => setLogging({ personId, visit: null })}>
              <Plus aria-hidden size={18} />
              {t('hours.log')}
            </Button>
          )}
        </div>
        {!mine && <PlacePaths of="rota" />}
        <p className="max-w-prose text-ink-soft">{mine ? t('hours.mineLead') : t('hours.lead')}</p>
        <YearSelect
          label={t('hours.year')}
          value={year}
          onChange={setYear}
          years={Array.from({ length: SEASONS }, (_, i) => now - i)}
        />
      </div>
      <Loaded of={hours}>
        {(list) => (
          <Table
            list={mine ? list.filter((one) => one.personId === personId) : list}
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
  const columns: DataColumn<HoursOf>[] = [
    {
      key: 'person',
      heading: t('hours.person'),
      isText: true,
      by: ({ name }) => name,
      show: ({ name }) => name,
      total: t('hours.total'),
    },
    {
      key: 'visits',
      heading: t('hours.visits'),
      by: ({ visits }) => visits.length,
      show: (one) => <VisitCount of={one} onOpen={() => setOpened(one)} />,
      total: sum((one) => one.visits.length),
    },
    {
      key: 'given',
      heading: t('hours.given'),
      by: ({ minutes }) => minutes,
      show: ({ minutes }) => <strong>{inHours(minutes)}</strong>,
      total: inHours(sum(({ minutes }) => minutes)),
    },
    {
      key: 'pledged',
      heading: t('hours.pledged'),
      by: ({ pledged }) => pledged,
      show: ({ pledged }) => (pledged === null ? '–' : inHours(pledged)),
      total: inHours(sum(({ pledged }) => pledged ?? 0)),
    },
    {
      key: 'left',
      heading: t('hours.left'),
      by: (one) => (one.pledged === null ? null : left(one)),
      show: (one) => (
        <span className={left(one) > 0 ? 'text-beet' : ''}>
          {one.pledged === null ? '–' : inHours(left(one))}
        </span>
      ),
      total: inHours(sum(left)),
    },
    {
      key: 'heads',
      heading: t('hours.heads'),
      by: ({ headMinutes }) => headMinutes,
      show: ({ headMinutes }) => inHours(headMinutes),
      total: inHours(sum(({ headMinutes }) => headMinutes)),
    },
    {
      key: 'certificate',
      heading: t('hours.certificate'),
      show: (one) =>
        one.minutes > 0 && (
          <Button look="quiet" onClick={() => setShown(one)}>
            {t('hours.certificate')}
            <span className="sr-only">: {one.name}</span>
          </Button>
        ),
    },
  ];
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
      <DataTable label={t('hours.title')} rows={given} keyOf={({ personId }) => personId} columns={columns} />
      <p className="print:hidden">
        <Button onClick={saveCsv}>{t('hours.csv')}</Button>
      </p>
    </>
  );
}

/** How many visits somebody made, which opens them. */
function VisitCount({ of: { name, visits }, onOpen }: { of: HoursOf; onOpen(): void }) {
  const { t } = useTranslation('day');
  if (visits.length === 0) return 0;
  return (
    <button type="button" className="min-h-target min-w-target text-right underline" onClick={onOpen}>
      {visits.length}
      <span className="sr-only">: {t('hours.of', { name })}</span>
    </button>
  );
}
