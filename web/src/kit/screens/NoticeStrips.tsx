import { Undo2, X } from 'lucide-react';
import { Toast } from 'radix-ui';
import { useTranslation } from 'react-i18next';
import { Button } from '../controls/index.ts';
import { type Notice, useNotices } from '../notices.ts';

const SHOWN_MS = 12_000;

/** What was just done, each with its Undo, at the foot of the page; what went wrong stays until it is put away. */
export default function NoticeStrips() {
  const { t } = useTranslation('kit');
  const list = useNotices((notices) => notices.list);
  return (
    <Toast.Provider duration={SHOWN_MS} swipeDirection="down" label={t('notice')}>
      {list.map((notice) => (
        <NoticeStrip key={notice.id} notice={notice} />
      ))}
      <Toast.Viewport
        label={t('notices')}
        className="pointer-events-none fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2 outline-none sm:bottom-5"
      />
    </Toast.Provider>
  );
}

function NoticeStrip({ notice }: { notice: Notice }) {
  const { t } = useTranslation('kit');
  const dismiss = useNotices((notices) => notices.dismiss);
  const isTrouble = notice.tone === 'trouble';
  return (
    <Toast.Root
      open
      type={isTrouble ? 'foreground' : 'background'}
      {...(isTrouble && { duration: Number.POSITIVE_INFINITY })}
      onOpenChange={(isOpen) => !isOpen && dismiss(notice.id)}
      className={`pointer-events-auto flex max-w-xl items-center gap-3 rounded-sm px-4 py-1.5 shadow-lg ${isTrouble ? 'bg-beet text-paper' : 'bg-rail text-rail-ink'}`}
    >
      <Toast.Description>{notice.text || t('undone')}</Toast.Description>
      {notice.onUndo && (
        <Toast.Action
          asChild
          altText={t('undoHint')}
          onClick={() => {
            notice.onUndo?.();
          }}
        >
          <Button look="act">
            <Undo2 aria-hidden size={18} />
            {t('undo')}
          </Button>
        </Toast.Action>
      )}
      <Toast.Close aria-label={t('close')} className="grid size-9 shrink-0 place-items-center">
        <X aria-hidden size={18} />
      </Toast.Close>
    </Toast.Root>
  );
}
