import { useTranslation } from 'react-i18next';
import { useCoordinates } from '../garden/index.ts';
import { Paths } from '../kit/screens/index.ts';

/** The ways of looking at the ground. */
export function GroundPaths() {
  const { t } = useTranslation('layout');
  const coordinates = useCoordinates();
  return (
    <Paths
      label={t('paths.label')}
      ways={[
        { to: '/ground', words: t('paths.plan') },
        ...(coordinates ? [{ to: '/ground/layout', words: t('paths.layout') }] : []),
        { to: '/ground/sun', words: t('paths.sun') },
        { to: '/ground/judgement', words: t('paths.judgement') },
        { to: '/ground/print', words: t('paths.print') },
      ]}
    />
  );
}
