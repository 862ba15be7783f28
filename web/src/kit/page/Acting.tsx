import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Button, Confirm, Disclosure, Menu, Progress, ScrollArea, Tabs, Tooltip } from '../controls/index.ts';
import { Bare, Sheet, useNotices } from '../screens/index.ts';

/** Controls that one does something with, and places for what is shown. */
export function Acting() {
  const [part, setPart] = useState('entries');
  const [open, setOpen] = useState<'sheet' | 'confirm' | null>(null);
  const show = useNotices((notices) => notices.show);
  const close = () => setOpen(null);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center gap-2">
        <Button look="act" onClick={() => show({ text: 'Bed 7 saved.', onUndo: () => undefined })}>
          Save
        </Button>
        <Button onClick={() => setOpen('sheet')}>Open a sheet</Button>
        <Button look="danger" onClick={() => setOpen('confirm')}>
          Erase
        </Button>
        <Button disabled>Not now</Button>
        <Tooltip says="Take it away">
          <Button look="quiet" aria-label="Take it away">
            <Trash2 aria-hidden size={18} />
          </Button>
        </Tooltip>
        <Menu
          items={[
            { label: 'Make a series', onSelect: () => undefined },
            { label: 'Remove', onSelect: () => undefined, isDangerous: true },
          ]}
        >
          <Button>More</Button>
        </Menu>
      </div>
      <Tabs
        label="The book"
        value={part}
        onChange={setPart}
        parts={[
          { value: 'entries', label: 'Entries', content: <p>What happened.</p> },
          { value: 'changes', label: 'Changes', content: <p>Who changed what.</p> },
        ]}
      />
      <Disclosure summary="Why this day">
        <p>Nights stay above 50 °F by then.</p>
      </Disclosure>
      <Progress label="Reckoning" share={0.4} />
      <Progress label="Looking" share={null} />
      <ScrollArea label="Beds" className="h-24 border border-line-strong">
        <ul className="px-3">
          {Array.from({ length: 12 }, (_, i) => `Bed ${i + 1}`).map((name) => (
            <li key={name}>{name}</li>
          ))}
        </ul>
      </ScrollArea>
      <Bare title="Nothing is planned yet">
        <Button>Plan a planting</Button>
      </Bare>
      <Sheet open={open === 'sheet'} title="A sheet" onClose={close}>
        <p>Laid over the page.</p>
      </Sheet>
      <Confirm
        open={open === 'confirm'}
        title="Erase everything?"
        stay="Keep it"
        go="Erase it"
        onStay={close}
        onGo={close}
      >
        <p>It cannot be brought back.</p>
      </Confirm>
    </div>
  );
}
