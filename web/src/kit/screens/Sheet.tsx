import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { createContext, type ReactNode, useContext, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { dropUnsaved, useUnsaved } from '../forms/index.ts';
import { AskToLeave } from './AskToLeave.tsx';

const SheetContext = createContext<(() => void) | null>(null);
/** Closes the sheet one is on, after asking where something is typed and not saved; null on no sheet. */
export const useCloseSheet = (): (() => void) | null => useContext(SheetContext);

/** What had the focus when the sheet was opened, or where the page begins if that is gone. */
function focusAgain(before: Element | null): void {
  const target = before?.isConnected && before !== document.body ? before : document.getElementById('page');
  (target as HTMLElement | null)?.focus();
}

/**
 * A sheet of paper laid over the page: from the side at a desk, from below on a phone. It is not closed by a slip while
 * something is typed on it, and gives the focus back to where it was.
 */
export function Sheet({
  open,
  title,
  onClose,
  children,
}: {
  open: boolean;
  title: string;
  onClose(): void;
  children: ReactNode;
}) {
  const [isAsking, setAsking] = useState(false);
  const close = () => {
    if (useUnsaved.getState().forms.size > 0) setAsking(true);
    else onClose();
  };
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-rail/45" />
        <SheetContext.Provider value={close}>
          <Paper title={title}>{children}</Paper>
        </SheetContext.Provider>
      </Dialog.Portal>
      {isAsking && (
        <AskToLeave
          open
          onStay={() => setAsking(false)}
          onGo={() => {
            setAsking(false);
            dropUnsaved();
            onClose();
          }}
        />
      )}
    </Dialog.Root>
  );
}

function Paper({ title, children }: { title: string; children: ReactNode }) {
  const { t } = useTranslation('kit');
  const [before] = useState(() => document.activeElement);
  return (
    <Dialog.Content
      aria-describedby={undefined}
      onCloseAutoFocus={(event) => {
        event.preventDefault();
        focusAgain(before);
      }}
      className="fixed inset-x-0 bottom-0 z-50 max-h-[92dvh] overflow-y-auto border-blossom border-t-4 bg-paper p-5 sm:inset-x-auto sm:inset-y-0 sm:right-0 sm:max-h-none sm:w-[30rem] sm:border-t-0 sm:border-l-4"
    >
      <div className="mb-4 flex items-start justify-between gap-4">
        <Dialog.Title className="text-xl">{title}</Dialog.Title>
        <Dialog.Close
          aria-label={t('close')}
          className="grid size-target shrink-0 place-items-center rounded-sm hover:bg-straw-soft"
        >
          <X aria-hidden size={22} />
        </Dialog.Close>
      </div>
      {children}
    </Dialog.Content>
  );
}
