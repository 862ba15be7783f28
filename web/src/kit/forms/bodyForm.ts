import type { FieldError } from '@unity-acre/contract';
import { useEffect, useId, useRef, useState } from 'react';
import {
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Path,
  type Resolver,
  useForm,
} from 'react-hook-form';
import type { z } from 'zod';
import type { Clash } from '../formContext.ts';
import { Refused } from '../refused.ts';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';
import { mergeForms } from './merge.ts';
import { Reading } from './reading.ts';
import { codeOf } from './refusalWords.ts';
import { noteUnsaved } from './unsaved.ts';

export interface BodyFormOf<Values extends FieldValues, Body> {
  schema: z.ZodType<Body>;
  /** what stands in the fields: of a new thing, or of the row as it is now */
  defaults: Values;
  toBody(values: Values, read: Reading): unknown;
  /** turns a path of the schema into the name of the form's field, where they differ */
  flat?: (path: string) => string;
  /** the version of the row that is changed; undefined for a new one */
  version?: number | undefined;
  /** a newer row, as the form would show it */
  toValues?: (current: never) => Values;
  /** under which what is typed is kept through a reload; null for secrets */
  draft: string | null;
  /** fields that are not kept so */
  secrets?: readonly (keyof Values & string)[];
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

/** Checks what is typed by the schema of the request. */
function resolverOf<Values extends FieldValues, Body>({
  schema,
  toBody,
  flat = (path) => path,
}: Pick<BodyFormOf<Values, Body>, 'schema' | 'toBody' | 'flat'>): Resolver<Values> {
  return async (values) => {
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
}

/** The row that a write answered with, where it did. */
const rowIn = (told: unknown): { version: number } | undefined => {
  const { data } = (told ?? {}) as { data?: { version?: unknown } };
  return typeof data?.version === 'number' ? (data as { version: number }) : undefined;
};

/**
 * A form that ends as the body of a request: checked by the contract's own schema before it is sent, and with what the
 * server says put beside the same fields. Nothing typed is lost: not when it is refused, not when the row changes under it
 * (what only one side changed stands, and what both changed is asked about), and not with the page.
 */
export function useBodyForm<Values extends FieldValues, Body>(of: BodyFormOf<Values, Body>) {
  const {
    schema,
    defaults,
    toBody,
    flat = (path) => path,
    version,
    toValues,
    draft,
    secrets = [],
    send,
  } = of;
  const id = useId();
  const form = useForm<Values>({
    defaultValues: defaults as DefaultValues<Values>,
    resolver: resolverOf(of),
  });
  const { isDirty, isSubmitting } = form.formState;
  /** what the fields were filled from, and the version that is changed */
  const base = useRef({ values: defaults, version });
  const [refused, setRefused] = useState<Refused | null>(null);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const [isRestored, setRestored] = useState(false);

  /** Fills the fields from a row, and puts back what was typed over another one. */
  const fillFrom = (row: Values, typed: Readonly<Record<string, unknown>>, over: Values) => {
    const merged = mergeForms(over, typed, row);
    form.reset(row);
    for (const [field, value] of Object.entries(merged.values))
      if (JSON.stringify(value) !== JSON.stringify(row[field]))
        form.setValue(field as Path<Values>, value as never, { shouldDirty: true });
    const isNew = (field: string) => merged.clashes.some((one) => one.field === field);
    // What was undecided stays so when yet another version comes.
    setClashes((before) => [
      ...before.filter(({ field }) => !isNew(field)).map((one) => ({ ...one, theirs: row[one.field] })),
      ...merged.clashes,
    ]);
  };
  const take = (row: Values, newVersion: number | undefined) => {
    // The same version comes twice: with the refusal, and when the lists are read again.
    if (newVersion === base.current.version && newVersion !== undefined) return;
    const over = base.current.values;
    // First, so that what comes with the row is not taken for something that was typed over the one before.
    base.current = { values: row, version: newVersion };
    fillFrom(row, form.getValues(), over);
  };

  const seen = useRef(version);
  const isSaving = useRef(false);
  useEffect(() => {
    // One's own row comes with the lists before the write has ended, and is nobody else's change.
    if (version === seen.current || isSaving.current) return;
    seen.current = version;
    take(defaults, version);
  });

  // What was typed before the page was loaded anew.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the form appears
  useEffect(() => {
    const kept = draft === null ? null : readDraft(draft);
    if (!kept) return;
    fillFrom(defaults, kept.values, kept.base as Values);
    setRestored(true);
  }, []);

  useEffect(() => {
    noteUnsaved(id, isDirty && !isSubmitting, draft);
    return () => noteUnsaved(id, false, draft);
  }, [id, isDirty, isSubmitting, draft]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: which fields are secret never changes
  useEffect(() => {
    if (draft === null) return;
    return form.subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        if (JSON.stringify(values) === JSON.stringify(base.current.values)) {
          dropDraft(draft);
          return;
        }
        const open = Object.entries(values).filter(([field]) => !secrets.includes(field));
        keepDraft(draft, { values: Object.fromEntries(open), base: base.current.values });
      },
    });
  }, [draft, form.subscribe]);

  const forget = () => {
    if (draft !== null) dropDraft(draft);
    setRestored(false);
  };

  const refuse = (values: Values, error: Refused) => {
    const { code, current, errors = [] } = error.problem;
    if (code === 'stale' && toValues && current) {
      take(toValues(current as never), (current as { version: number }).version);
    }
    const list = errors.map((e: FieldError) => ({ path: flat(e.field), message: codeOf(e) }));
    for (const [field, detail] of Object.entries(errorsOf(values, list)))
      form.setError(field as Path<Values>, detail);
    setRefused(error);
  };

  /** Goes on from what was saved, in the words in which it will be read again, and with what was typed meanwhile. */
  const goOn = (saved: Values, told: unknown) => {
    const answer = rowIn(told);
    const row = toValues && answer ? toValues(answer as never) : saved;
    const typed = Object.entries(form.getValues()).filter(
      ([field, value]) => JSON.stringify(value) !== JSON.stringify(saved[field]),
    );
    forget();
    base.current = { values: row, version: answer?.version ?? base.current.version };
    fillFrom(row, Object.fromEntries(typed), row);
  };

  const submit = form.handleSubmit(async (values) => {
    if (clashes.length > 0) return;
    setRefused(null);
    noteUnsaved(id, false, draft);
    isSaving.current = true;
    try {
      goOn(values, await send(schema.parse(toBody(values, new Reading())), base.current.version));
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      refuse(values, error);
    } finally {
      isSaving.current = false;
    }
  });

  return {
    ...form,
    submit,
    refused,
    clashes,
    /** decides a clash for one side */
    settle: (field: string, isMine: boolean) => {
      const clash = clashes.find((one) => one.field === field);
      if (clash && !isMine)
        form.setValue(field as Path<Values>, clash.theirs as never, { shouldDirty: true });
      const left = clashes.filter((one) => one !== clash);
      setClashes(left);
      if (left.length === 0) setRefused(null);
    },
    /** true where what is in the fields was typed before the page was loaded anew */
    isRestored,
    startOver: () => {
      forget();
      setClashes([]);
      form.reset(base.current.values);
    },
    busy: isSubmitting,
    /** fills several fields, as if they had been typed */
    put: (some: Partial<Values>) => {
      for (const [field, value] of Object.entries(some))
        form.setValue(field as Path<Values>, value as never, {
          shouldDirty: true,
          shouldValidate: form.formState.isSubmitted,
        });
    },
    /** a field's value and what changes it, for controls that are not the browser's own */
    control: <Name extends Path<Values>>(name: Name) => ({
      name,
      value: form.watch(name),
      onChange: (value: unknown) =>
        form.setValue(name, value as never, {
          shouldDirty: true,
          shouldValidate: form.formState.isSubmitted,
        }),
    }),
    /** the same for a box that puts a value on a list */
    checkIn: <Name extends Path<Values>>(name: Name, value: string) => {
      const list: readonly string[] = form.watch(name) ?? [];
      return {
        checked: list.includes(value),
        onChange: (isChecked: boolean) => {
          const next = isChecked ? [...list, value] : list.filter((one) => one !== value);
          form.setValue(name, next as never, {
            shouldDirty: true,
            shouldValidate: form.formState.isSubmitted,
          });
        },
      };
    },
    /** the same for a box to tick */
    check: <Name extends Path<Values>>(name: Name) => ({
      name,
      checked: form.watch(name) === true,
      onChange: (isChecked: boolean) =>
        form.setValue(name, isChecked as never, {
          shouldDirty: true,
          shouldValidate: form.formState.isSubmitted,
        }),
    }),
  };
}
