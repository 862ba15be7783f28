import { ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import type { ReactNode } from 'react';

/** Something that is there for those who ask for it. */
export function Disclosure({
  summary,
  isOpen,
  className = '',
  children,
}: {
  summary: ReactNode;
  /** as it stands at first */
  isOpen?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Collapsible.Root defaultOpen={isOpen ?? false} className={className}>
      <Collapsible.Trigger className="group flex min-h-target items-center gap-1.5 text-left underline decoration-line-strong underline-offset-4 hover:decoration-ink">
        <ChevronRight aria-hidden size={18} className="shrink-0 group-data-[state=open]:rotate-90" />
        {summary}
      </Collapsible.Trigger>
      <Collapsible.Content>{children}</Collapsible.Content>
    </Collapsible.Root>
  );
}
