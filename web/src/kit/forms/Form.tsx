import { type ReactNode, useMemo, useRef } from 'react';
import type { FieldErrors, FieldValues } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { Button } from '../controls/index.ts';
import { type Clash, FormProvider } from '../formContext.ts';
import type { Refused } from '../refused.ts';

/** What a form of the page is, as `useBodyForm` makes it. */
interface FormOf<Values extends FieldValues> {
  submit(event: React.FormEvent): Promise<void>;
  formState: { errors: FieldErrors<Values> };
  refused: Refused | null;
  clashes: readonly Clash[];
  settle(field: string, isMine: boolean): void;
  isRestored: boolean;
  startOver(): void;
}

/** A form: its fields know what is wrong with them, and what is wrong at all stands where `FormFaults` is put. */
export function Form<Values extends FieldValues>({
  of,
  className = 'flex flex-col gap-4',
  children,
}: {
  of: FormOf<Values>;
  className?: string;
  children: ReactNode;
}) {
  const { t } = useTranslation('kit');
  const element = useRef<HTMLFormElement>(null);
  const shown = useRef(new Map());
  const { refused, clashes, settle } = of;
  const errors: Record<string, string> = Object.fromEntries(
    Object.entries(of.formState.errors).flatMap(([field, error]) => {
      const message = (error as { message?: string } | undefined)?.message;
      return message ? [[field, message]] : [];
    }),
  );
  const state = useMemo(
    () => ({ errors, refused, clashes, settle, shown: shown.current }),
    [errors, refused, clashes, settle],
  );
  const submit = async (event: React.FormEvent) => {
    // A form in a sheet that was opened from within another form is sent alone: React hands its event on to that one too.
    event.stopPropagation();
    await of.submit(event);
    // Whoever sent it is led to the first field that wants another look.
    requestAnimationFrame(() =>
      element.current?.querySelector<HTMLElement>('[aria-invalid="true"], [data-clash]')?.focus(),
    );
  };
  return (
    <FormProvider value={state}>
      <form ref={element} onSubmit={(event) => void submit(event)} noValidate className={className}>
        {of.isRestored && (
          <p className="flex flex-wrap items-center gap-x-3 border-rain border-l-4 bg-rain-soft px-3 py-1">
            {t('restored.note')}
            <Button look="quiet" onClick={of.startOver}>
              {t('restored.over')}
            </Button>
          </p>
        )}
        {children}
      </form>
    </FormProvider>
  );
}
