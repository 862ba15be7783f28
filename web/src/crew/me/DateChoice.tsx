import { type DateStyle, dateStyles, datesIn } from '@unity-acre/contract/wording';
import { useTranslation } from 'react-i18next';
import { useHere } from '../../garden/index.ts';
import { RadioGroup } from '../../kit/controls/index.ts';
import { usePreferences } from '../../preferences.ts';

/** How dates and times are written for whoever looks, on this device: as the garden does, or another way. */
export function DateChoice() {
  const { t } = useTranslation('account');
  const { garden } = useHere();
  const { language, dateStyle, choose } = usePreferences();
  const example = (style: DateStyle) => {
    const dates = datesIn(language, style);
    return `${dates.short(garden.today)}, ${dates.time('14:30')}`;
  };
  return (
    <section className="furrow max-w-lg">
      <h2 id="date-choice">{t('dates.title')}</h2>
      <RadioGroup
        aria-labelledby="date-choice"
        value={dateStyle ?? 'garden'}
        onChange={(value) => choose({ dateStyle: dateStyles.find((style) => style === value) ?? null })}
        options={[
          { value: 'garden', label: t('dates.garden') },
          ...dateStyles.map((style) => ({ value: style, label: example(style) })),
        ]}
      />
    </section>
  );
}
