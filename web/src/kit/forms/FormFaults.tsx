import { useTranslation } from 'react-i18next';
import { Button } from '../controls/index.ts';
import { type Clash, useFormState } from '../formContext.ts';
import { RefusedNote } from './RefusedNote.tsx';
import { useRemedy } from './refusalWords.ts';

/** What is wrong with a form as a whole: why it was refused, errors that no field shows, and what somebody else changed. */
export function FormFaults() {
  const form = useFormState();
  const remedy = useRemedy();
  if (!form) return null;
  const { refused, clashes, errors, shown } = form;
  const unshown = Object.entries(errors).filter(([field]) => !shown.has(field));
  // What stands beside a field need not be said twice.
  const isSaidThere =
    refused?.problem.code === 'invalid' && unshown.length === 0 && Object.keys(errors).length > 0;
  return (
    <>
      {refused && !isSaidThere && clashes.length === 0 && <RefusedNote refused={refused} />}
      {unshown.length > 0 && (
        <div role="alert" className="border-beet border-l-4 bg-beet-soft px-3 py-1 text-beet">
          <ul>
            {unshown.map(([field, message]) => (
              <li key={field}>{remedy(message)}</li>
            ))}
          </ul>
        </div>
      )}
      {clashes.length > 0 && <Clashes clashes={clashes} />}
    </>
  );
}

/** Fields that were changed on both sides, each with what stands here, what the other wrote, and the choice. */
function Clashes({ clashes }: { clashes: readonly Clash[] }) {
  const { t } = useTranslation('kit');
  return (
    <div role="alert" tabIndex={-1} data-clash className="border-beet border-l-4 bg-beet-soft px-3 py-2">
      <p className="font-semibold text-beet">{t('clash.title')}</p>
      <p>{t('clash.lead')}</p>
      <ul className="mt-2 flex flex-col gap-2">
        {clashes.map((clash) => (
          <ClashLine key={clash.field} clash={clash} />
        ))}
      </ul>
    </div>
  );
}

function ClashLine({ clash: { field, mine, theirs } }: { clash: Clash }) {
  const { t } = useTranslation('kit');
  const form = useFormState()!;
  const shown = form.shown.get(field);
  const say = (value: unknown): string => {
    const said = shown?.show?.(value) ?? (typeof value === 'object' ? undefined : String(value));
    if (typeof value === 'boolean' && !shown?.show) return t(value ? 'clash.yes' : 'clash.no');
    return said === undefined ? t('clash.other') : said || t('clash.empty');
  };
  const label = shown?.label ?? t('clash.unnamed');
  return (
    <li className="border-line border-t pt-1">
      <p className="font-semibold text-sm">{label}</p>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3">
        <dt className="text-ink-soft text-sm">{t('clash.mine')}</dt>
        <dd className="flex items-center justify-between gap-2 break-words">
          {say(mine)}
          <Button onClick={() => form.settle(field, true)} aria-label={t('clash.keepOf', { field: label })}>
            {t('clash.keep')}
          </Button>
        </dd>
        <dt className="text-ink-soft text-sm">{t('clash.theirs')}</dt>
        <dd className="flex items-center justify-between gap-2 break-words">
          {say(theirs)}
          <Button onClick={() => form.settle(field, false)} aria-label={t('clash.takeOf', { field: label })}>
            {t('clash.take')}
          </Button>
        </dd>
      </dl>
    </li>
  );
}
