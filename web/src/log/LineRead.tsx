import { type LineReading, readLine } from '@unity-acre/core/log';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Waiting } from '../kit/screens/index.ts';
import { EntryForm } from './EntryForm.tsx';
import { useLineContext } from './useLineContext.ts';

/** What the line says, to be looked at and saved. What it may speak of is fetched when somebody first types. */
export function LineRead({ text, onSaved }: { text: string; onSaved(): void }) {
  const context = useLineContext();
  const live = useMemo(() => context && readLine(text, context), [text, context]);
  // Once somebody is at the form, a list that comes in late does not start it anew under their hands.
  const [held, setHeld] = useState<{ text: string; reading: LineReading } | null>(null);
  const reading = held?.text === text ? held.reading : live;
  if (!reading) return <Waiting />;
  const hold = () => setHeld({ text, reading });
  return (
    <div onFocusCapture={hold} onSubmitCapture={hold}>
      <Understood text={text} reading={reading} />
      <EntryForm key={formKey(reading)} start={reading} onSaved={onSaved} />
    </div>
  );
}

/** The form starts anew when the line is understood differently. */
const formKey = ({ parts: _, missing: __, candidates: ___, ...rest }: LineReading): string =>
  JSON.stringify(rest);

/** The line as it was understood: every stretch with what it was taken for. */
function Understood({ text, reading }: { text: string; reading: LineReading }) {
  const { t } = useTranslation('log');
  if (reading.parts.length === 0) return null;
  return (
    <p className="mb-2 flex flex-wrap gap-x-3 gap-y-1 text-sm">
      <span className="text-ink-soft">{t('line.understood')}</span>
      {reading.parts.map(({ from, to, as }) => (
        <span key={from} className="border-leaf border-b-2">
          <span className="font-semibold">{text.slice(from, to)}</span>{' '}
          <span className="text-ink-soft">{t(`line.part.${as}`)}</span>
        </span>
      ))}
    </p>
  );
}
