import { NotebookPen } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { Button } from '../kit/controls/index.ts';
import { fetchedPart } from '../kit/fetchedPart.tsx';
import { Waiting } from '../kit/screens/index.ts';
import { speakOf } from '../words/index.ts';

const LineRead = fetchedPart(
  async () => {
    const [read] = await Promise.all([import('./LineRead.tsx'), speakOf('season')]);
    return read.LineRead;
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
          <LineRead text={text} onSaved={close} onUnfetched={() => setOpen(false)} />
        </div>
      )}
    </div>
  );
}
