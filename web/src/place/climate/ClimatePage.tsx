import { useTranslation } from 'react-i18next';
import { useHere } from '../../garden/index.ts';
import { Disclosure } from '../../kit/controls/index.ts';
import { Screen } from '../../kit/screens/index.ts';
import { GardenPaths } from '../GardenPaths.tsx';
import { FrostChart } from './FrostChart.tsx';
import { FrostTable, NightTable, WarmthTable } from './FrostTable.tsx';
import { NightChart } from './NightChart.tsx';
import { NormalsForm } from './NormalsForm.tsx';
import { StationImport } from './StationImport.tsx';
import { WarmthChart } from './WarmthChart.tsx';

/** What the garden's dates rest on: a station's days, monthly means, or two dates; and what they come to. */
export default function ClimatePage() {
  const { t } = useTranslation(['place', 'climate']);
  const { garden } = useHere();
  return (
    <Screen title={t('page.climate')} className="flex flex-col gap-7">
      <GardenPaths />
      <div className="grid gap-10 xl:grid-cols-[minmax(0,1fr)_minmax(0,28rem)]">
        <div className="flex min-w-0 flex-col gap-8">
          <section className="furrow">
            <h2>{t('facts.frost')}</h2>
            <FrostChart />
            <FrostTable />
          </section>
          <section className="furrow">
            <h2>{t('climate:nights.title')}</h2>
            <NightChart />
            <NightTable />
          </section>
          <section className="furrow">
            <h2>{t('climate:warmth.title')}</h2>
            <WarmthChart />
            <WarmthTable />
          </section>
        </div>
        <div className="flex flex-col gap-8">
          <section className="furrow">
            <h2>{t('climate:station.title')}</h2>
            <StationImport />
          </section>
          <section className="furrow">
            <h2>{t('climate:normals.title')}</h2>
            <Disclosure isOpen={garden.record === null} summary={t('climate:normals.open')}>
              <NormalsForm />
            </Disclosure>
          </section>
        </div>
      </div>
    </Screen>
  );
}
