import { ChevronsUpDown } from 'lucide-react';
import { useRef, useState } from 'react';
import { fetchedPart } from '../../fetchedPart.tsx';
import { type ChoosingProps, ListButton } from './ListButton.tsx';

export const OptionPopover = fetchedPart(async () => (await import('./OptionPopover.tsx')).OptionPopover);

/** Chooses one of many: opened, it is searched by a few letters. */
export function Combobox<Value extends string>(props: ChoosingProps<Value>) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <ListButton
        {...props}
        button={button}
        isOpen={isOpen}
        icon={ChevronsUpDown}
        onNear={OptionPopover.fetch}
        onPress={() => setOpen(!isOpen)}
      />
      {isOpen && (
        <OptionPopover
          trigger={button}
          onClose={() => setOpen(false)}
          onUnfetched={() => setOpen(false)}
          options={props.options}
          value={props.value}
          onChoose={(chosen) => props.onChange(chosen as Value)}
        />
      )}
    </>
  );
}
