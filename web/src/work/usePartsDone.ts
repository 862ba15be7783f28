import { useTranslation } from 'react-i18next';

const shares = [0.25, 0.5, 0.75];

/** The parts of a task that may be said to be done, as choices. */
export function usePartsDone(): { value: string; label: string }[] {
  const { t } = useTranslation('day');
  return shares.map((share) => ({ value: String(share), label: t('partDone', { percent: share * 100 }) }));
}
