import { useTranslation } from 'react-i18next';
import { useCoordinates } from '../garden/index.ts';
import { Paths } from '../kit/screens/index.ts';

/** The people, and who gets which plot. */
export function CrewPaths() {
  const { t } = useTranslation('plots');
  const coordinates = useCoordinates();
  if (!coordinates) return null;
  return (
    <Paths
      label={t('paths.label')}
      ways={[
        { to: '/crew', words: t('paths.people') },
        { to: '/crew/plots', words: t('paths.plots') },
        { to: '/crew/walk', words: t('paths.walk') },
        { to: '/crew/rules', words: t('paths.rules') },
      ]}
    />
  );
}
