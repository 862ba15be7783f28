import { CircleHelp } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useInRouterContext, useLocation } from 'react-router';
import { fetchedPart } from '../fetchedPart.tsx';

/** The words are many, and wanted by who asks for them. */
const HelpLines = fetchedPart(async () => (await import('./HelpLines.tsx')).HelpLines);

/** How the screen at hand works, in a few lines under its title, for who asks. */
export const HowThisWorks = () => (useInRouterContext() ? <OfThisScreen /> : null);

function OfThisScreen() {
  const { t } = useTranslation('kit');
  const { pathname } = useLocation();
  const [openAt, setOpenAt] = useState<string | null>(null);
  const isOpen = openAt === pathname;
  return (
    <>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-label={t('help.button')}
        title={t('help.button')}
        onClick={() => setOpenAt(isOpen ? null : pathname)}
        className="grid size-10 place-items-center rounded-full text-ink-soft hover:bg-straw-soft hover:text-ink print:hidden"
      >
        <CircleHelp aria-hidden size={20} />
      </button>
      {isOpen && <HelpLines path={pathname} onUnfetched={() => setOpenAt(null)} />}
    </>
  );
}
