import { useTranslation } from 'react-i18next';
import { sunColour } from './sunColour.ts';

/** The scale of the hours of sun. */
export function ColourKey() {
  const { t } = useTranslation('layout');
  return (
    <span className="flex items-center gap-1 text-sm">
      {[0, 3, 6, 9, 12].map((hours) => (
        <span key={hours} className="flex items-center gap-1">
          <span
            className="inline-block size-4 border border-ink/40"
            style={{ background: sunColour(hours) }}
          />
          {hours}
        </span>
      ))}
      {t('sun.unit')}
    </span>
  );
}
