import { type ComponentType, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNotices } from '../notices.ts';

/** So long the page is left to what it is for, milliseconds. */
const LATER_MS = 1_500;

/**
 * The place of what was just done. How it is shown is fetched once the page has come, not when there is first something to
 * say: that may be that there is no connection. Where it could not be fetched, it is said all the same.
 */
export function Notices() {
  const isAny = useNotices(({ list }) => list.length > 0);
  const [Strips, setStrips] = useState<ComponentType | null>(null);
  useEffect(() => {
    const load = () =>
      void import('./NoticeStrips.tsx').then(
        (loaded) => setStrips(() => loaded.default),
        () => setStrips(() => PlainStrips),
      );
    const timer = setTimeout(load, isAny ? 0 : LATER_MS);
    return () => clearTimeout(timer);
  }, [isAny]);
  return Strips && <Strips />;
}

/** The same in plain, for a page that was cut off before it was whole. */
function PlainStrips() {
  const { t } = useTranslation('kit');
  const { list, dismiss } = useNotices();
  return (
    <div role="alert" className="fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2">
      {list.map(({ id, text }) => (
        <p key={id} className="bg-rail px-4 py-2 text-rail-ink">
          {text || t('undone')}{' '}
          <button type="button" className="underline" onClick={() => dismiss(id)}>
            {t('close')}
          </button>
        </p>
      ))}
    </div>
  );
}
