import { type FactKind, type FactValues, type Finding, findingRow } from '@unity-acre/core/season';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useLostWords, useReasonWords } from '../explain/index.ts';

type Sayings = { [Kind in FactKind]: (value: FactValues[Kind]) => string };

/** How the facts of a finding are said, each by its kind. */
export function useFacts(): (finding: Finding) => Record<string, string> {
  const { t } = useTranslation(['plan', 'kit', 'season']);
  const dates = useDates();
  const { number, depth } = useMeasure();
  const reasonWords = useReasonWords();
  const lost = useLostWords();
  const say: Sayings = {
    day: dates.short,
    // Years are not numbers to be grouped.
    year: String,
    share: (value) => number(value * 100, 0),
    count: (value) => number(value, 0),
    hours: (value) => number(value, 1),
    depth,
    family: (value) => t(`kit:family.${value}`),
    harm: (value) => t(`plan:why.${value}` as 'plan:why.stunting'),
    evidence: (value) => t(`plan:evidence.${value}`),
    days: (value) => t('season:outside.days', { count: value }),
    frostRisk: (value) => lost('early', value),
    frostLoss: (value) => lost('late', value),
    reason: reasonWords,
  };
  return (finding) => {
    const values = finding as unknown as Record<string, never>;
    return Object.fromEntries(
      Object.entries(findingRow(finding.code).facts).map(([name, kind]) => [name, say[kind](values[name]!)]),
    );
  };
}
