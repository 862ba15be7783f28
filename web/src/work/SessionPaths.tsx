import { useTranslation } from 'react-i18next';
import { useCoordinates } from '../kit/garden.ts';
import { Paths } from '../kit/Paths.tsx';

/** What there is to do about sessions: see them, say when one can come; for coordinators, make the rota and count tools. */
export function SessionPaths() {
  const { t } = useTranslation('rota');
  const coordinates = useCoordinates();
  return (
    <Paths
      label={t('paths.label')}
      ways={[
        { to: '/sessions', words: t('paths.list') },
        ...(coordinates ? [{ to: '/sessions/rota', words: t('paths.rota') }] : []),
        ...(coordinates ? [{ to: '/sessions/tools', words: t('paths.tools') }] : []),
        { to: '/sessions/mine', words: t('paths.mine') },
      ]}
    />
  );
}
