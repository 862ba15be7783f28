import { useTranslation } from 'react-i18next';
import type { Refused } from './ask.ts';

/** What went wrong with a write and what to do, in a sentence or two. */
export function useRefusalWords(): (refused: Refused) => string {
  const { t } = useTranslation(['kit', 'problem']);
  return ({ problem: { code } }) =>
    code === 'unreachable' ? t('kit:unreachable.detail') : t(`problem:problem.${code}.detail`);
}
