import { useTranslation } from 'react-i18next';
import type { Refused } from './ask.ts';
import { Button } from './Button.tsx';

/** A newer version met while saving: what it says where it differs, and the two ways on. */
export interface Clash {
  theirs: string[];
  takeTheirs(): void;
  keepMine(): void;
}

/** What a refused form says as a whole; for a clash with a newer version, the choice between the two. */
export function RefusedNote({ refused, clash }: { refused: Refused | null; clash?: Clash | null }) {
  const { t } = useTranslation(['problem', 'kit']);
  if (!refused) return null;
  const { code } = refused.problem;
  return (
    <div role="alert" className="border-beet border-l-4 bg-beet-soft px-3 py-2 text-beet">
      <p className="font-semibold">
        {code === 'unreachable' ? t('kit:unreachable.title') : t(`problem:problem.${code}.title`)}
      </p>
      <p>{code === 'unreachable' ? t('kit:unreachable.detail') : t(`problem:problem.${code}.detail`)}</p>
      {clash && (
        <div className="mt-2 text-ink">
          <p className="text-sm">{t('kit:stale.theirs')}</p>
          <ul className="mb-2 list-disc pl-5">
            {clash.theirs.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
          <div className="flex flex-wrap gap-2">
            <Button onClick={clash.takeTheirs}>{t('kit:stale.take')}</Button>
            <Button onClick={clash.keepMine}>{t('kit:stale.mine')}</Button>
          </div>
        </div>
      )}
    </div>
  );
}
