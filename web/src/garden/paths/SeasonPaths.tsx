import { useTranslation } from 'react-i18next';
import { Paths } from '../../kit/screens/index.ts';
import { useCoordinates } from '../here.tsx';

/** Ways to look at the season: by bed along the year, by what is open now, by crop. */
export function SeasonPaths() {
  const { t } = useTranslation('season');
  const coordinates = useCoordinates();
  return (
    <Paths
      label={t('paths.label')}
      ways={[
        { to: '/season', words: t('paths.bands') },
        ...(coordinates ? [{ to: '/season/propose', words: t('paths.propose') }] : []),
        ...(coordinates ? [{ to: '/season/next', words: t('paths.next') }] : []),
        { to: '/season/still', words: t('paths.still') },
        { to: '/season/crops', words: t('paths.crops') },
      ]}
    />
  );
}
