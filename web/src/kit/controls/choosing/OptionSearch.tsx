import { Command } from 'cmdk';
import { Check } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { inGroups, type Option } from '../props.ts';

const fold = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** How well words fit what is searched for: at their beginning best, then at the beginning of a word, then anywhere. */
function fit(words: string, search: string): number {
  const [text, wanted] = [fold(words), fold(search.trim())];
  if (text.startsWith(wanted)) return 1;
  if (text.includes(` ${wanted}`)) return 0.8;
  return text.includes(wanted) ? 0.5 : 0;
}

/** A list of options with a box to search it by. */
export function OptionSearch({
  options,
  value,
  onChoose,
}: {
  options: readonly Option[];
  value: string;
  onChoose(value: string): void;
}) {
  const { t } = useTranslation('kit');
  return (
    <Command
      label={t('search.label')}
      // cmdk knows items by their words; a key behind them tells those of the same words apart.
      defaultValue={keyOf(options.find((option) => option.value === value))}
      filter={(key, search) => fit(key.split('\u0000')[0]!, search)}
    >
      <Command.Input
        autoFocus
        placeholder={t('search.label')}
        className="w-full border-line-strong border-b bg-transparent px-3 py-2 outline-none placeholder:text-ink-soft"
      />
      <Command.List className="max-h-72 overflow-y-auto py-1">
        <Command.Empty className="px-3 py-2 text-ink-soft">{t('search.none')}</Command.Empty>
        {inGroups(options).map(({ group, options: list }) => (
          <Command.Group
            key={list[0]?.value}
            heading={group || undefined}
            className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-ink-soft [&_[cmdk-group-heading]]:text-sm"
          >
            {list.map((option) => (
              <Command.Item
                key={option.value}
                value={keyOf(option)}
                disabled={option.disabled ?? false}
                onSelect={() => onChoose(option.value)}
                className="group flex min-h-target cursor-pointer items-center gap-2 px-3 py-1 aria-disabled:opacity-50 data-[selected=true]:bg-straw"
              >
                <Check
                  aria-hidden
                  size={18}
                  className={`shrink-0 ${option.value === value ? '' : 'invisible'}`}
                />
                {option.label}
                {option.detail && (
                  <span className="ml-auto text-ink-soft text-sm group-data-[selected=true]:text-ink">
                    {option.detail}
                  </span>
                )}
              </Command.Item>
            ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command>
  );
}

const keyOf = (option: Option | undefined): string =>
  option ? `${option.label} ${option.detail ?? ''}\u0000${option.value}` : '';
