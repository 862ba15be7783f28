import { useTranslation } from 'react-i18next';
import { Paths } from '../../kit/screens/index.ts';
import { useCoordinates } from '../here.tsx';

/** What there is to do about sessions; the schedule and the chores are for coordinators. */
export function SessionPaths() {
  const { t } = useTranslation('rota');
  const coordinates = useCoordinates();
  const ways = [
    { to: '/sessions', words: t('paths.list'), forAll: true },
    { to: '/sessions/day', words: t('paths.day'), forAll: true },
    { to: '/sessions/rota', words: t('paths.rota'), forAll: false },
    { to: '/sessions/care', words: t('paths.care'), forAll: false },
    { to: '/sessions/hours', words: t('paths.hours'), forAll: false },
  ];
  return <Paths label={t('paths.label')} ways={ways.filter(({ forAll }) => forAll || coordinates)} />;
}
