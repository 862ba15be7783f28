import type { Outside } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';

/** Says what standing outside its time likely costs a planting, as years people count. */
export function useLostWords(): (how: Outside['how'], lost: Outside['lost']) => string {
  const { t } = useTranslation('season');
  return (how, lost) => {
    if (lost === null) return t('outside.rots');
    const years = Math.round(lost * 10);
    return years === 0 ? t(`outside.${how}.seldom`) : t(`outside.${how}.years`, { count: years });
  };
}
