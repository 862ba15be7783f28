import { useTranslation } from 'react-i18next';
import { Button } from '../../kit/controls/index.ts';
import { useMarks } from './marks.ts';

/** What was marked here and has not reached the garden, and what it did not take. */
export function MarksNote() {
  const { t } = useTranslation(['day', 'problem']);
  const { waiting, refused, drop } = useMarks();
  return (
    <div aria-live="polite" className="contents">
      {waiting.length > 0 && (
        <p className="border-blossom border-l-4 bg-straw-soft px-3 py-2">
          {t('day:offline', { count: waiting.length })}
        </p>
      )}
      {refused.map(({ mark, code }) => (
        <p key={JSON.stringify(mark)} className="border-beet border-l-4 bg-beet-soft px-3 py-2 text-beet">
          {t('day:refused', {
            what: mark.what,
            why: t(`problem:problem.${code as 'notFound'}.detail`),
          })}{' '}
          <Button look="quiet" onClick={() => drop(mark)}>
            {t('day:forget')}
          </Button>
        </p>
      ))}
    </div>
  );
}
