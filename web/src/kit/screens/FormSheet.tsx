import type { ComponentProps, ReactNode } from 'react';
import type { FieldValues } from 'react-hook-form';
import { Form, FormFaults } from '../forms/index.ts';
import { Sheet } from './Sheet.tsx';
import { SheetActions } from './SheetActions.tsx';

type FormOf<Values extends FieldValues> = ComponentProps<typeof Form<Values>>['of'] & { busy: boolean };

interface Foot {
  onClose(): void;
  /** takes away what the form shows; absent while it is new */
  onRemove?: (() => void) | undefined;
  removeWords?: string | undefined;
}

/** A form with its foot: what is wrong with it as a whole, and save, leave, and take away. */
export function FootedForm<Values extends FieldValues>({
  of,
  className,
  children,
  onClose,
  onRemove,
  removeWords,
}: Foot & { of: FormOf<Values>; className?: string | undefined; children: ReactNode }) {
  return (
    <Form of={of} {...(className && { className })}>
      {children}
      <FormFaults />
      <SheetActions
        busy={of.busy}
        onCancel={onClose}
        onRemove={onRemove}
        {...(removeWords && { removeWords })}
      />
    </Form>
  );
}

/** A sheet that holds a form. */
export function FormSheet<Values extends FieldValues>({
  title,
  ...form
}: ComponentProps<typeof FootedForm<Values>> & { title: string }) {
  return (
    <Sheet open title={title} onClose={form.onClose}>
      <FootedForm {...form} />
    </Sheet>
  );
}
