import { useQueryClient } from '@tanstack/react-query';
import { Undo2, X } from 'lucide-react';
import { useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { ask, Refused } from './ask.ts';
import { Button } from './Button.tsx';
import { useHere } from './garden.ts';
import { type Notice, useNotices } from './notices.ts';

const SHOWN_MS = 12_000;

/** What was just done, each with its Undo, at the foot of the page. */
export function Notices() {
  const list = useNotices((notices) => notices.list);
  return (
    <div
      aria-live="polite"
      className="pointer-events-none fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2 sm:bottom-5"
    >
      {list.map((notice) => (
        <NoticeStrip key={notice.id} notice={notice} />
      ))}
    </div>
  );
}

function NoticeStrip({ notice }: { notice: Notice }) {
  const { t } = useTranslation(['kit', 'problem']);
  const client = useQueryClient();
  const gardenId = useHere().garden.id;
  const { dismiss, show } = useNotices();
  useEffect(() => {
    const timer = setTimeout(() => dismiss(notice.id), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [notice.id, dismiss]);

  const undo = async () => {
    dismiss(notice.id);
    try {
      const { change } = await ask('undo', { params: { gardenId, id: notice.change! } });
      show({ text: t('kit:undone'), change });
    } catch (error) {
      const code =
        error instanceof Refused && error.problem.code !== 'unreachable' ? error.problem.code : 'unexpected';
      show({ text: t(`problem:problem.${code}.detail`), tone: 'trouble' });
    }
    await client.invalidateQueries({ queryKey: ['garden', gardenId] });
  };

  return (
    <div
      className={`pointer-events-auto flex max-w-xl items-center gap-3 rounded-sm px-4 py-1.5 shadow-lg ${notice.tone === 'trouble' ? 'bg-beet text-paper' : 'bg-rail text-rail-ink'}`}
    >
      <p>{notice.text}</p>
      {notice.change && (
        <Button look="act" onClick={undo}>
          <Undo2 aria-hidden size={18} />
          {t('kit:undo')}
        </Button>
      )}
      <button
        type="button"
        aria-label={t('kit:close')}
        onClick={() => dismiss(notice.id)}
        className="grid size-9 shrink-0 place-items-center"
      >
        <X aria-hidden size={18} />
      </button>
    </div>
  );
}
