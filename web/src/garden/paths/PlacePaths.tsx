import { useTranslation } from 'react-i18next';
import { Paths } from '../../kit/screens/index.ts';
import { useCoordinates } from '../here.tsx';
import { type PathsOf, placePaths } from './placePaths.ts';

/** The ways within a place of the rail, where there is more than one for whoever looks. */
export function PlacePaths({ of }: { of: PathsOf }) {
  const { t } = useTranslation(['season', 'layout', 'plots', 'rota']);
  const coordinates = useCoordinates();
  const ways = placePaths[of].filter(({ may }) => may === 'all' || coordinates);
  if (ways.length < 2) return null;
  return (
    <Paths label={t(`${of}:paths.label`)} ways={ways.map(({ words, to }) => ({ to, words: t(words) }))} />
  );
}
