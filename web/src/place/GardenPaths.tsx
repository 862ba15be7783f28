import { useTranslation } from 'react-i18next';
import { Paths } from '../kit/screens/index.ts';

/** What a garden is set up with: where it is, what its weather is like, and how it does things. */
export function GardenPaths() {
  const { t } = useTranslation('place');
  return (
    <Paths
      label={t('page.title')}
      ways={[
        { to: '/garden', words: t('page.place') },
        { to: '/garden/climate', words: t('page.climate') },
        { to: '/garden/rules', words: t('page.rules') },
      ]}
    />
  );
}
