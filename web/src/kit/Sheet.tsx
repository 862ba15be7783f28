import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';

/** A sheet of paper laid over the page: from the side at a desk, from below on a phone. */
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
  const { t } = useTranslation();
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-rail/45" />
        <Dialog.Content
          aria-describedby={undefined}
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
      </Dialog.Portal>
    </Dialog.Root>
  );
}
