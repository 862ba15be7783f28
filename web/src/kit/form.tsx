import { type FieldError, splitCode } from '@unity-acre/contract';
import { type LengthUnit, parseLength, parseNumber } from '@unity-acre/core/units';
import { type ReactNode, useEffect, useId, useState } from 'react';
import {
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type Resolver,
  useForm,
} from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import type { z } from 'zod';
import { speakOf } from '../words/index.ts';
import { Refused } from './ask.ts';
import type { Clash } from './RefusedNote.tsx';

/** Reads what people typed; what cannot be read becomes an error of its field. */
export class Reading {
  readonly errors: Record<string, string> = {};

  number(field: string, text: string): number {
    return this.#kept(field, 'notANumber', text, parseNumber(text));
  }

  length(field: string, text: string, bare: LengthUnit): number {
    return this.#kept(field, 'notALength', text, parseLength(text, bare));
  }

  #kept(field: string, code: string, text: string, value: number | null): number {
    if (value === null) this.errors[field] = text.trim() === '' ? 'required' : code;
    return value ?? Number.NaN;
  }
}

interface BodyForm<Values extends FieldValues, Body> {
  schema: z.ZodType<Body>;
  defaults: Values;
  toBody(values: Values, read: Reading): unknown;
  /** turns a path of the schema into the name of the form's field, where they differ */
  flat?: (path: string) => string;
  /** the version of the row that is changed; undefined for a new one */
  version?: number | undefined;
  /** a newer row, as the form would show it */
  toValues?: (current: never) => Values;
  send(body: Body, ifMatch: number | undefined): Promise<unknown>;
}

/** Errors by field, from the schema and from reading; the field of an issue is its first step that the form has. */
function errorsOf<Values extends FieldValues>(values: Values, list: { path: string; message: string }[]) {
  const errors: Record<string, { type: string; message: string }> = {};
  for (const { path, message } of list) {
    const field = path in values ? path : (path.split('.').find((part) => part in values) ?? 'root');
    errors[field] ??= { type: 'garden', message };
  }
  return errors;
}

/**
 * A form that ends as the body of a request: checked by the contract's own schema before it is sent, and with what the
 * server says put beside the same fields. Nothing typed is lost when it is refused.
 */
export function useBodyForm<Values extends FieldValues, Body>({
  schema,
  defaults,
  toBody,
  flat = (path) => path,
  version,
  toValues,
  send,
}: BodyForm<Values, Body>) {
  const [ifMatch, setIfMatch] = useState(version);
  const [refused, setRefused] = useState<Refused | null>(null);
  const resolver: Resolver<Values> = async (values) => {
    const read = new Reading();
    const parsed = schema.safeParse(toBody(values, read));
    const fromReading = Object.entries(read.errors).map(([path, message]) => ({ path, message }));
    const fromSchema = parsed.success
      ? []
      : parsed.error.issues.map((issue) => ({ path: flat(issue.path.join('.')), message: issue.message }));
    const errors = errorsOf(values, [...fromReading, ...fromSchema]);
    return Object.keys(errors).length > 0
      ? { values: {}, errors: errors as FieldErrors<Values> }
      : { values, errors: {} };
  };
  const form = useForm<Values>({ defaultValues: defaults as DefaultValues<Values>, resolver });

  const submit = form.handleSubmit(async (values) => {
    setRefused(null);
    try {
      await send(schema.parse(toBody(values, new Reading())), ifMatch);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      const found = errorsOf(
        values,
        (error.problem.errors ?? []).map((e: FieldError) => ({ path: flat(e.field), message: codeOf(e) })),
      );
      for (const [field, detail] of Object.entries(found)) form.setError(field as Path<Values>, detail);
      setRefused(error);
    }
  });

  const newer = refused?.problem.code === 'stale' ? (refused.problem.current as { version: number }) : null;
  const clash: Clash | null =
    newer && toValues
      ? {
          theirs: differences(toValues(newer as never), form.getValues()),
          takeTheirs: () => {
            form.reset(toValues(newer as never));
            setIfMatch(newer.version);
            setRefused(null);
          },
          keepMine: () => {
            setIfMatch(newer.version);
            setRefused(null);
          },
        }
      : null;

  return { ...form, submit, refused, clash, busy: form.formState.isSubmitting };
}

const differences = (theirs: FieldValues, mine: FieldValues): string[] =>
  Object.keys(theirs)
    .filter((field) => theirs[field] !== mine[field])
    .map((field) => String(theirs[field]) || '—');

const codeOf = ({ code, limit }: FieldError): string => (limit === undefined ? code : `${code}:${limit}`);

/** The words for a field error's code. */
export function useRemedy(): (message: string | undefined) => string | undefined {
  const { t } = useTranslation('fields');
  // They are many, and wanted only where something is typed.
  useEffect(() => void speakOf('fields'), []);
  return (message) => {
    if (!message) return undefined;
    const { code, limit } = splitCode(message);
    return t(code as 'required', { limit });
  };
}

/** A labelled field with its hint and its error, tied together for those who hear the page. */
export function Field({
  label,
  hint,
  error,
  children,
}: {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
  children: (props: {
    id: string;
    'aria-invalid': boolean;
    'aria-describedby': string | undefined;
  }) => ReactNode;
}) {
  const id = useId();
  const remedy = useRemedy()(error);
  const described = [remedy && `${id}-error`, hint && `${id}-hint`].filter(Boolean).join(' ') || undefined;
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold text-sm">
        {label}
      </label>
      {children({ id, 'aria-invalid': remedy !== undefined, 'aria-describedby': described })}
      {hint && (
        <p id={`${id}-hint`} className="text-ink-soft text-sm">
          {hint}
        </p>
      )}
      {remedy && (
        <p
          id={`${id}-error`}
          role="alert"
          className="border-beet border-l-4 bg-beet-soft px-2 py-0.5 text-beet text-sm"
        >
          {remedy}
        </p>
      )}
    </div>
  );
}
