import { type ComponentProps, cloneElement, type ReactElement, startTransition, useState } from 'react';
import { sayUnfetched } from '../fetchedPart.tsx';
import type { Menu as MenuHere } from './Menu.tsx';

type Props = ComponentProps<typeof MenuHere> & {
  children: ReactElement<{ onClick?(): void; onPointerEnter?(): void; onFocus?(): void }>;
};

const fetchMenu = async () => (await import('./Menu.tsx')).Menu;

/** A menu that is fetched when somebody comes near its button: for what stands on every screen and is opened seldom. */
export function LateMenu({ children, ...props }: Props) {
  const [opened, setOpened] = useState<typeof MenuHere | null>(null);
  if (opened) {
    const Menu = opened;
    return (
      <Menu {...props} defaultOpen>
        {children}
      </Menu>
    );
  }
  const near = () => void fetchMenu().catch(() => undefined);
  return cloneElement(children, {
    'aria-haspopup': 'menu',
    'aria-expanded': false,
    onPointerEnter: near,
    onFocus: near,
    onClick: () =>
      void fetchMenu().then(
        (menu) => startTransition(() => setOpened(() => menu)),
        () => sayUnfetched(),
      ),
  } as object);
}
