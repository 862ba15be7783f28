import { type ReactNode, useEffect, useRef } from 'react';
import { create } from 'zustand';
import { fetchedPart } from '../fetchedPart.tsx';

/** It stands beside the title, whose line is high enough for it before it is there. */
const HowThisWorks = fetchedPart(async () => (await import('../help/index.ts')).HowThisWorks);

/** Where one is: the garden's name stands behind the title of each of its screens. */
const NOWHERE = 'Unity Acre';
export const usePlaceName = create<{ name: string }>(() => ({ name: NOWHERE }));

/** True once a screen was shown: who comes to another is led to its beginning, who comes to the first is there. */
let wasShown = false;

/** The heading of a screen. It names the page for the browser, and has the focus when one has come to it from another. */
export function Title({ children, className }: { children: string; className?: string }) {
  const heading = useRef<HTMLHeadingElement>(null);
  const place = usePlaceName(({ name }) => name);
  useEffect(() => {
    document.title = `${children} · ${place}`;
  }, [children, place]);
  useEffect(() => {
    // A field that asks for the focus itself keeps it.
    const isFree = !document.activeElement?.matches('main input, main textarea, [role="dialog"] *');
    if (wasShown && isFree) heading.current?.focus({ preventScroll: true });
    wasShown = true;
  }, []);
  return (
    <div className="grid min-h-10 grid-cols-[minmax(0,max-content)_auto] items-center justify-start gap-x-1">
      <h1 ref={heading} tabIndex={-1} className={`outline-none ${className ?? ''}`}>
        {children}
      </h1>
      {/* In front of the door each screen explains itself. */}
      {place !== NOWHERE && <HowThisWorks />}
    </div>
  );
}

/** A screen: its heading, what can be done on it at the far side, and what it shows. */
export function Screen({
  title,
  actions,
  className = 'flex flex-col gap-6',
  children,
}: {
  title: string;
  actions?: ReactNode;
  className?: string;
  children: ReactNode;
}) {
  return (
    <div className={className}>
      {actions ? (
        <div className="flex flex-wrap items-end justify-between gap-3">
          <Title>{title}</Title>
          {actions}
        </div>
      ) : (
        <Title>{title}</Title>
      )}
      {children}
    </div>
  );
}
