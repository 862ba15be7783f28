import { ChevronDown } from 'lucide-react';
import { type KeyboardEvent, useRef, useState } from 'react';
import { fetchedPart } from '../../fetchedPart.tsx';
import type { Option } from '../props.ts';
import { type ChoosingProps, ListButton } from './ListButton.tsx';

export const SelectList = fetchedPart(async () => (await import('./SelectList.tsx')).SelectList);

/** The next option after one that begins with a letter, round and round. */
function beginningWith(letter: string, options: readonly Option[], value: string): Option | undefined {
  const open = options.filter(({ disabled }) => !disabled);
  const at = open.findIndex((option) => option.value === value);
  const begins = ({ label }: Option) => label.toLocaleLowerCase().startsWith(letter.toLocaleLowerCase());
  return [...open.slice(at + 1), ...open.slice(0, at + 1)].find(begins);
}

/** Chooses one of a few. For many, which one would rather search, there is `Combobox`. */
export function Select<Value extends string>(props: ChoosingProps<Value>) {
  const { value, onChange, options } = props;
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  const close = () => setOpen(false);
  const key = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setOpen(true);
      return;
    }
    const isLetter = event.key.length === 1 && event.key !== ' ';
    if (!isLetter || event.ctrlKey || event.metaKey || event.altKey) return;
    const next = beginningWith(event.key, options, value);
    if (next) onChange(next.value as Value);
  };
  return (
    <>
      <ListButton
        {...props}
        button={button}
        isOpen={isOpen}
        icon={ChevronDown}
        onNear={SelectList.fetch}
        onPress={() => setOpen(true)}
        onKeyDown={key}
      />
      {isOpen && (
        <SelectList
          trigger={button}
          onClose={close}
          onUnfetched={close}
          options={options}
          value={value}
          onChoose={(chosen) => onChange(chosen as Value)}
        />
      )}
    </>
  );
}
