import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { useHere, useList } from '../../garden/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { AllotmentsPast } from '../plots/index.ts';
import { MyPlots } from './MyPlots.tsx';

/** The plots one holds, with the agreement, and how plots were given out. */
export default function MyPlotsPage() {
  const { t } = useTranslation('plots');
  const { garden } = useHere();
  const plots = useList('myPlots');
  const year = garden.seasonYear;
  return (
    <Screen title={t('mine.title')}>
      <Loaded of={plots}>
        {(list) =>
          list.length === 0 ? (
            <Bare title={t('mine.none')}>
              <p>{t('mine.noneHint')}</p>
              <Link to="/sessions" className="underline underline-offset-4">
                {t('mine.toSessions')}
              </Link>
            </Bare>
          ) : (
            <MyPlots plots={list} />
          )
        }
      </Loaded>
      <AllotmentsPast year={year + 1} />
      <AllotmentsPast year={year} />
    </Screen>
  );
}
