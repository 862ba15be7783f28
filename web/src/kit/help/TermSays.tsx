import { useTranslation } from 'react-i18next';
import { useHelpWords } from './HelpLines.tsx';
import type { TermName } from './helpKeys.ts';

/** What a word of the trade means. */
export function TermSays({ name }: { name: TermName }) {
  const { t } = useTranslation('help');
  const isThere = useHelpWords();
  if (!isThere) return null;
  return (
    <span
      role="note"
      className="my-1 block max-w-prose border-rain border-l-4 bg-rain-soft px-3 py-1 font-normal font-sans text-base text-ink"
    >
      <strong>{t(`term.${name}.name`)}:</strong> {t(`term.${name}.says`)}
    </span>
  );
}
