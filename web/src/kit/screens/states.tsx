import type { UseQueryResult } from '@tanstack/react-query';
import { type ReactNode, useDeferredValue } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../controls/index.ts';
import { RefusedNote } from '../forms/index.ts';
import { Refused } from '../refused.ts';

/**
 * Shows what was read, or that it is on its way, or why it did not come. What has just come is drawn in small pieces of
 * work, so that a large screen holds up nobody's typing or scrolling while it does.
 */
export function Loaded<T>({
  of,
  also = [],
  children,
}: {
  of: UseQueryResult<T>;
  /** what it is shown with, which it does without where that does not come: nothing moves about as it comes in */
  also?: readonly Pick<UseQueryResult, 'isPending'>[];
  children: (data: T) => ReactNode;
}) {
  const { t } = useTranslation('kit');
  const isThere = useDeferredValue(of.data !== undefined && !also.some(({ isPending }) => isPending));
  if (isThere && of.data !== undefined) return children(of.data);
  if (!of.isError) return <Waiting />;
  return (
    <div className="flex max-w-xl flex-col items-start gap-3 py-6">
      <RefusedNote refused={of.error instanceof Refused ? of.error : new Refused({ code: 'unexpected' })} />
      <Button onClick={() => of.refetch()}>{t('tryAgain')}</Button>
    </div>
  );
}

export function Waiting() {
  const { t } = useTranslation('kit');
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
