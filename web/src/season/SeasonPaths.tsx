import { useTranslation } from 'react-i18next';
import { Paths } from '../kit/Paths.tsx';

/** Ways to look at the season: by bed along the year, by what is open now, by crop. */
export function SeasonPaths() {
  const { t } = useTranslation('season');
  return (
    <Paths
      label={t('paths.label')}
      ways={[
        { to: '/season', words: t('paths.bands') },
        { to: '/season/still', words: t('paths.still') },
        { to: '/season/crops', words: t('paths.crops') },
      ]}
    />
  );
}
