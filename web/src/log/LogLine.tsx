import { type LineReading, readLine } from '@unity-acre/core/log';
import { NotebookPen } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { Button } from '../kit/controls/index.ts';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { Waiting } from '../kit/screens/index.ts';
import { speakOf } from '../words/index.ts';
import { useLineContext } from './useLineContext.ts';

const EntryForm = fetchedPart(
  async () => {
    const [form] = await Promise.all([import('./EntryForm.tsx'), speakOf('season')]);
    return form.EntryForm;
  },
  <Waiting />,
);

/** One text box, reachable from everywhere and by `/`, that takes a line as one would write it on a clipboard. */
export function LogLine() {
  const { t } = useTranslation('log');
  const [text, setText] = useState('');
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  const [search, setSearch] = useSearchParams();

  // A code on a label opens the log with its bed written already.
  const begun = search.get('line');
  useEffect(() => {
    if (begun === null) return;
    setText(begun);
    setSearch({}, { replace: true });
    box.current?.focus();
  }, [begun, setSearch]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input, textarea, select, [contenteditable]');
      if (event.key !== '/' || typing) return;
      event.preventDefault();
      box.current?.focus();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);

  const close = () => {
    setOpen(false);
    setText('');
  };
  return (
    <div className="sticky top-0 z-20 border-line-strong border-b bg-paper">
      <form
        className="flex items-center gap-2 px-4 py-1.5 sm:px-8"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim()) setOpen(true);
        }}
      >
        <NotebookPen aria-hidden size={20} className="shrink-0 text-ink-soft" />
        <input
          ref={box}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setOpen(event.target.value.trim() !== '');
          }}
          onKeyDown={(event) => event.key === 'Escape' && close()}
          maxLength={500}
          aria-label={t('line.label')}
          placeholder={t('line.placeholder')}
          className="min-h-target w-full bg-transparent px-1 outline-offset-[-3px]"
          autoComplete="off"
          enterKeyHint="done"
        />
        <kbd className="hidden shrink-0 rounded-xs border border-line-strong px-1.5 text-ink-soft text-sm sm:block">
          /
        </kbd>
        {open && (
          <Button look="quiet" onClick={close}>
            {t('line.clear')}
          </Button>
        )}
      </form>
      {open && (
        <div className="max-h-[75dvh] overflow-y-auto border-blossom border-b-4 px-4 pt-1 pb-4 sm:px-8">
          <Reading text={text} onSaved={close} onUnfetched={() => setOpen(false)} />
        </div>
      )}
    </div>
  );
}

/** What the line says, to be looked at and saved. What it may speak of is fetched when somebody first types. */
function Reading({ text, onSaved, onUnfetched }: { text: string; onSaved(): void; onUnfetched(): void }) {
  const context = useLineContext();
  const reading = useMemo(() => context && readLine(text, context), [text, context]);
  if (!reading) return <Waiting />;
  return (
    <>
      <Understood text={text} reading={reading} />
      <EntryForm key={formKey(reading)} start={reading} onSaved={onSaved} onUnfetched={onUnfetched} />
    </>
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
