import { AlertDialog } from 'radix-ui';
import { type ReactNode, useRef } from 'react';
import { Button } from './Button.tsx';

/** Asks before something that is not to be done by a slip of the hand. */
export function Confirm({
  open,
  title,
  children,
  stay,
  go,
  onStay,
  onGo,
}: {
  open: boolean;
  title: string;
  children: ReactNode;
  /** the words of the way back, which is where the hand lies */
  stay: string;
  /** the words of going on */
  go: string;
  onStay(): void;
  onGo(): void;
}) {
  const goes = useRef(false);
  return (
    <AlertDialog.Root
      open={open}
      onOpenChange={(isOpen) => {
        if (!isOpen && !goes.current) onStay();
        goes.current = false;
      }}
    >
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-[80] bg-rail/45" />
        <AlertDialog.Content className="-translate-x-1/2 fixed top-[20dvh] left-1/2 z-[80] flex w-[min(30rem,92vw)] flex-col gap-3 border-beet border-t-4 bg-paper p-5 text-ink">
          <AlertDialog.Title className="text-xl">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div>{children}</div>
          </AlertDialog.Description>
          <div className="mt-1 flex flex-wrap gap-2">
            <AlertDialog.Cancel asChild>
              <Button look="act">{stay}</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action
              asChild
              onClick={() => {
                goes.current = true;
                onGo();
              }}
            >
              <Button look="danger">{go}</Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
