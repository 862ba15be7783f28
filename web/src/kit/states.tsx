import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Refused } from './ask.ts';
import { Button } from './Button.tsx';
import { RefusedNote } from './RefusedNote.tsx';

/** Shows what was read, or that it is on its way, or why it did not come. */
export function Loaded<T>({ of, children }: { of: UseQueryResult<T>; children: (data: T) => ReactNode }) {
  const { t } = useTranslation();
  if (of.data !== undefined) return children(of.data);
  if (!of.isError) return <Waiting />;
  return (
    <div className="flex max-w-xl flex-col items-start gap-3 py-6">
      <RefusedNote refused={of.error instanceof Refused ? of.error : new Refused({ code: 'unexpected' })} />
      <Button onClick={() => of.refetch()}>{t('tryAgain')}</Button>
    </div>
  );
}

export function Waiting() {
  const { t } = useTranslation();
  return (
    <p aria-live="polite" aria-busy className="py-6 text-ink-soft">
      {t('loading')}
    </p>
  );
}

/** A place where nothing is yet, with the next thing to do. */
export function Bare({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="my-3 flex max-w-2xl flex-col items-start gap-3 border-straw border-l-8 bg-straw-soft px-4 py-3">
      <p className="font-semibold">{title}</p>
      {children}
    </div>
  );
}
