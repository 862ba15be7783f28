import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { fit } from './match.ts';
import { groups, type PaletteEntry, usePaletteEntries } from './usePaletteEntries.ts';

/** Of one group no more are shown: who does not see it there types another letter. */
const MOST = 6;

/** What fits best, by group, the group with the best of all first. */
function bestOf(entries: readonly PaletteEntry[], search: string) {
  const isAsked = search.trim() !== '';
  const fitting = entries
    .filter(({ group }) => isAsked || group === 'actions' || group === 'screens')
    .map((entry) => ({ entry, fits: fit(entry.name, search, entry.others) }))
    .filter(({ fits }) => fits > 0);
  const byGroup = groups.map((group) => {
    const own = fitting.filter(({ entry }) => entry.group === group);
    const best = isAsked ? own.sort((a, b) => b.fits - a.fits).slice(0, MOST) : own;
    return { group, fits: best[0]?.fits ?? 0, entries: best.map(({ entry }) => entry) };
  });
  const there = byGroup.filter((one) => one.entries.length > 0);
  return isAsked ? there.sort((a, b) => b.fits - a.fits) : there;
}

/** Goes to any bed, person, crop, session or page, or does something, by a few letters. */
export function Palette({ onClose }: { onClose(): void }) {
  const { t } = useTranslation('shell');
  const navigate = useNavigate();
  const entries = usePaletteEntries();
  const [search, setSearch] = useState('');
  const found = useMemo(() => bestOf(entries, search), [entries, search]);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-rail/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-3 top-3 z-50 mx-auto flex max-h-[80dvh] max-w-xl flex-col border-2 border-ink bg-paper text-ink sm:top-[12vh]"
        >
          <Dialog.Title className="sr-only">{t('palette.title')}</Dialog.Title>
          <Command label={t('palette.title')} shouldFilter={false} className="flex min-h-0 flex-col">
            <Command.Input
              autoFocus
              value={search}
              onValueChange={setSearch}
              placeholder={t('palette.label')}
              className="w-full border-line-strong border-b-2 bg-transparent px-4 py-3 text-lg outline-none placeholder:text-ink-soft"
            />
            <Command.List className="min-h-0 overflow-y-auto py-2">
              <Command.Empty className="px-4 py-3 text-ink-soft">{t('palette.none')}</Command.Empty>
              {found.map(({ group, entries: list }) => (
                <Command.Group
                  key={group}
                  heading={t(`palette.group.${group}`)}
                  className="[&_[cmdk-group-heading]]:px-4 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:font-bold [&_[cmdk-group-heading]]:font-title [&_[cmdk-group-heading]]:text-sm"
                >
                  {list.map(({ id, name, detail, to }) => (
                    <Command.Item
                      key={id}
                      value={`${group} ${id}`}
                      onSelect={() => {
                        onClose();
                        void navigate(to);
                      }}
                      className="group flex min-h-target cursor-pointer items-center gap-3 px-4 py-1 data-[selected=true]:bg-straw"
                    >
                      {name}
                      {detail && (
                        <span className="ml-auto text-ink-soft text-sm group-data-[selected=true]:text-ink">
                          {detail}
                        </span>
                      )}
                    </Command.Item>
                  ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
