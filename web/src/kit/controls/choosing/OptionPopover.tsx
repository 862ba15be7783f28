import { type Hung, HungPopover } from '../HungPopover.tsx';
import type { Option } from '../props.ts';
import { OptionSearch } from './OptionSearch.tsx';

const NARROWEST_PX = 256;

/** The list of a combobox, hung on its button. */
export function OptionPopover({
  options,
  value,
  onChoose,
  ...hung
}: Hung & {
  options: readonly Option[];
  value: string;
  onChoose(value: string): void;
}) {
  return (
    <HungPopover
      {...hung}
      align="start"
      className="max-w-[95vw]"
      style={{ width: Math.max(NARROWEST_PX, hung.trigger.current?.offsetWidth ?? 0) }}
    >
      <OptionSearch
        options={options}
        value={value}
        onChoose={(chosen) => {
          onChoose(chosen);
          hung.onClose();
        }}
      />
    </HungPopover>
  );
}
