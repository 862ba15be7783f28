import { CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { fetchedPart } from '../fetchedPart.tsx';
import type { TermName } from './helpKeys.ts';

const TermSays = fetchedPart(async () => (await import('./TermSays.tsx')).TermSays);

/** Beside a word of the trade: what it means, for who asks. */
export function Term({
  name,
  isNamed = false,
}: {
  name: TermName;
  /** true where it stands by itself, and not beside its word */
  isNamed?: boolean;
}) {
  const { t } = useTranslation('kit');
  const [isOpen, open] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-label={t('help.term')}
        title={t('help.term')}
        onClick={() => open(!isOpen)}
        className="inline-flex min-h-6 min-w-6 items-center justify-center gap-1 rounded-full align-text-bottom text-ink-soft text-sm hover:bg-straw-soft hover:text-ink print:hidden"
      >
        <CircleHelp aria-hidden size={16} />
        {isNamed && t('help.term')}
      </button>
      {isOpen && <TermSays name={name} onUnfetched={() => open(false)} />}
    </>
  );
}
