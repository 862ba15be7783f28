import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { fetchedPart } from '../../kit/fetchedPart.tsx';
import { speakOf } from '../../words/index.ts';

const Palette = fetchedPart(async () => {
  const rooms = ['season', 'layout', 'rota', 'plots'] as const;
  const [{ Palette: part }] = await Promise.all([import('./Palette.tsx'), ...rooms.map(speakOf)]);
  return part;
});

/** Opens the command palette: a press, or Ctrl-K from everywhere. @param className how it looks where it stands */
export function FindButton({ className }: { className: string }) {
  const { t } = useTranslation('shell');
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setOpen((now) => !now);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const close = () => setOpen(false);
  return (
    <>
      <button
        type="button"
        aria-haspopup="dialog"
        aria-keyshortcuts="Control+K"
        onPointerEnter={Palette.fetch}
        onFocus={Palette.fetch}
        onClick={() => setOpen(true)}
        className={`flex min-h-target items-center gap-2 rounded-sm border px-3 text-left ${className}`}
      >
        <Search aria-hidden size={17} />
        <span className="flex-1">{t('goAnywhere')}</span>
        <kbd className="hidden text-sm sm:block">Ctrl K</kbd>
      </button>
      {open && <Palette onClose={close} onUnfetched={close} />}
    </>
  );
}
