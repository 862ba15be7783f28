import { type FieldError, splitCode } from '@unity-acre/contract';
import i18next from 'i18next';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { speakOf } from '../../words/index.ts';
import { type Refused, refusalKey } from '../refused.ts';

/** A field's error as one text, as the contract's own schemas give it. */
export const codeOf = ({ code, limit }: FieldError): string =>
  limit === undefined ? code : `${code}:${limit}`;

/** What is wrong with a field of what was refused, if it is a field. */
export const firstFault = (refused: Refused | null | undefined): string | undefined => {
  const error = refused?.problem.errors?.[0];
  return error && codeOf(error);
};

/** Whether it is fields that were refused. */
export const hasFields = (refused: Refused): boolean => (refused.problem.errors ?? []).length > 0;

const AFTER_DRAWING_MS = 300;

/** The words for a field error's code; undefined for none, and until the words are there. */
export function useRemedy(): (message: string | undefined) => string | undefined {
  const { t, i18n } = useTranslation('fields');
  // They are many, and wanted only where something is typed: the screen is drawn first.
  const [, setReady] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => void speakOf('fields').then(() => setReady(true)), AFTER_DRAWING_MS);
    return () => clearTimeout(timer);
  }, []);
  return (message) => {
    if (!message || !i18n.hasResourceBundle(i18n.language, 'fields')) return undefined;
    const { code, limit } = splitCode(message);
    return t(code as 'required', { limit });
  };
}

/** What went wrong with a write and what to do, in a sentence or two: what is wrong with its fields, or with it as a whole. */
export async function refusalWords(refused: Refused): Promise<string> {
  const { errors = [] } = refused.problem;
  const isSpoken =
    errors.length > 0 &&
    (await speakOf('fields').then(
      () => true,
      () => false,
    ));
  const t = i18next.getFixedT(null, ['kit', 'problem', 'fields']);
  if (!isSpoken) return t(`${refusalKey(refused)}.detail`);
  return errors
    .map((error) => t(`fields:${error.code}` as 'fields:required', { limit: error.limit }))
    .join(' ');
}
