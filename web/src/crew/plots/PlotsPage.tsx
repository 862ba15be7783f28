import type { PlotApplication } from '@unity-acre/contract/crew';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList, YearSelect } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { AllotmentCompare } from './AllotmentCompare.tsx';
import { AllotmentsPast } from './AllotmentsPast.tsx';
import { PlotApplicationSheet } from './PlotApplicationSheet.tsx';
import { usePlotApplications } from './usePlotApplications.ts';

/** Who applies for the plots of a season, and who gets which. */
export default function PlotsPage() {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const dates = useDates();
  const now = garden.seasonYear;
  const [year, setYear] = useState(now + 1);
  const [edited, setEdited] = useState<PlotApplication | 'new' | null>(null);
  const applications = usePlotApplications(year);
  const beds = useList('beds').data ?? [];
  const nameOf = (id: string) => beds.find((bed) => bed.id === id)?.name ?? '';
  return (
    <Screen
      title={t('title', { year })}
      actions={
        <Button look="act" onClick={() => setEdited('new')}>
          <Plus aria-hidden size={18} />
          {t('add')}
        </Button>
      }
    >
      <PlacePaths of="plots" />
      <p className="max-w-prose text-ink-soft">{t('lead')}</p>
      <YearSelect label={t('year')} value={year} onChange={setYear} years={[now, now + 1]} />
      <Loaded of={applications}>
        {(list) => (
          <>
            <section className="furrow">
              <h2>{t('applications')}</h2>
              {list.length === 0 && (
                <Bare title={t('none', { year })}>
                  <p>{t('noneHint')}</p>
                </Bare>
              )}
              <ul>
                {list.map((one) => (
                  <li
                    key={one.id}
                    className="grid items-center gap-x-6 border-line border-b py-1.5 sm:grid-cols-[14rem_minmax(0,1fr)_12rem_auto]"
                  >
                    <p>
                      <span className="font-semibold">{one.name}</span>
                      {one.holds && (
                        <span className="block text-ink-soft text-sm">
                          {t('holds', { bed: nameOf(one.holds) })}
                        </span>
                      )}
                    </p>
                    <p>
                      {one.wishes.length > 0 ? one.wishes.map(nameOf).join(', ') : t('any')}
                      <span className="block text-ink-soft text-sm">
                        {(['tall', 'nearWater', 'fullSun'] as const)
                          .filter((need) => one.needs[need])
                          .map((need) => t(`need.${need}`))
                          .join(', ')}
                      </span>
                    </p>
                    <p className="text-sm">
                      {t('since')} {dates.bare(one.since)} {one.since.slice(0, 4)}
                    </p>
                    <Button
                      look="quiet"
                      className="justify-self-start sm:justify-self-end"
                      onClick={() => setEdited(one)}
                    >
                      {t('change')}
                      <span className="sr-only">: {one.name}</span>
                    </Button>
                  </li>
                ))}
              </ul>
            </section>
            {list.length > 0 && <AllotmentCompare key={year} year={year} applications={list} />}
          </>
        )}
      </Loaded>
      <AllotmentsPast year={year} />
      {edited && (
        <PlotApplicationSheet
          year={year}
          application={edited === 'new' ? null : edited}
          onClose={() => setEdited(null)}
        />
      )}
    </Screen>
  );
}
