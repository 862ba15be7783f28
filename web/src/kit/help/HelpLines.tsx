import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { speakOf } from '../../words/index.ts';
import { helpAt } from './helpKeys.ts';

/** True once the words of the help are there, in the language that is spoken. */
export function useHelpWords(): boolean {
  const { i18n } = useTranslation('kit');
  const [isThere, setThere] = useState(() => i18n.hasResourceBundle(i18n.language, 'help'));
  useEffect(() => {
    void speakOf('help').then(() => setThere(true));
  }, []);
  return isThere && i18n.hasResourceBundle(i18n.language, 'help');
}

/** What is said of the screen at an address, a line each. */
export function HelpLines({ path }: { path: string }) {
  const { t } = useTranslation('help');
  const isThere = useHelpWords();
  const key = helpAt(path);
  if (!isThere || !key) return null;
  return (
    <section
      aria-label={t('button')}
      className="col-span-2 my-2 border-rain border-l-4 bg-rain-soft px-4 py-2 font-normal font-sans text-base print:hidden"
    >
      <ul className="flex max-w-prose list-disc flex-col gap-1 pl-4">
        {t(`screen.${key}`)
          .split('\n')
          .map((line) => (
            <li key={line}>{line}</li>
          ))}
      </ul>
    </section>
  );
}
