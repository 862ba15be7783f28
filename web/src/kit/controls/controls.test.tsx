import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ReactElement, useState } from 'react';
import { expect, it, vi } from 'vitest';
import { allWords } from '../../words/all.ts';
import { Field } from '../forms/index.ts';
import {
  Button,
  Checkbox,
  Combobox,
  Confirm,
  DateField,
  Disclosure,
  Menu,
  Progress,
  RadioGroup,
  ScrollArea,
  Select,
  Slider,
  Switch,
  Tabs,
  TimeField,
  ToggleGroup,
  Tooltip,
} from './index.ts';

const w = allWords.en.kit;
const kinds = [
  { value: '', label: 'None' },
  { value: 'ground', label: 'In the ground', group: 'Outside' },
  { value: 'raised', label: 'Raised bed', group: 'Outside' },
  { value: 'box', label: 'Box', disabled: true },
];
const beds = Array.from({ length: 40 }, (_, i) => ({ value: `bed-${i + 1}`, label: `Bed ${i + 1}` }));

interface Held<Value> {
  value: Value;
  onChange(value: Value): void;
}

/** Keeps a control's value, and tells what it was given. */
function Holder<Value>({
  start,
  tell,
  children,
}: {
  start: Value;
  tell(value: Value): void;
  children(held: Held<Value>): ReactElement;
}) {
  const [value, setValue] = useState(start);
  return children({
    value,
    onChange: (next) => {
      setValue(next);
      tell(next);
    },
  });
}

/** Renders a control with what it holds. @returns what it gives on */
function held<Value>(start: Value, children: (held: Held<Value>) => ReactElement) {
  const tell = vi.fn<(value: Value) => void>();
  render(
    <Holder start={start} tell={tell}>
      {children}
    </Holder>,
  );
  return tell;
}
const keys = (text: string) => userEvent.keyboard(text);

it('Select is opened, moved through and chosen from by keyboard, and has its label and value', async () => {
  const tell = held('ground', (of) => (
    <Field label="Kind">{(props) => <Select {...props} {...of} options={kinds} />}</Field>
  ));
  const select = screen.getByLabelText('Kind');
  expect([select.getAttribute('role'), select.textContent]).toEqual(['combobox', 'In the ground']);
  select.focus();
  await keys('{Enter}');
  expect((await screen.findAllByRole('option')).map((one) => one.textContent)).toEqual([
    'None',
    'In the ground',
    'Raised bed',
    'Box',
  ]);
  expect(screen.getByRole('option', { name: 'Box' }).getAttribute('aria-disabled')).toBe('true');
  await keys('{ArrowDown}{Enter}');
  expect(tell).toHaveBeenLastCalledWith('raised');
  expect(document.activeElement).toBe(select);
  await keys('{ArrowDown}');
  await screen.findAllByRole('option');
  await keys('{Home}{Enter}');
  expect(tell).toHaveBeenLastCalledWith('');
  expect(select.textContent).toBe('None');
});

it('Select takes the next option that begins with a letter while it is shut, passing by what cannot be chosen', async () => {
  const tell = held('', (of) => (
    <Field label="Kind">
      {(props) => <Select {...props} {...of} options={[...kinds, { value: 'rented', label: 'Rented' }]} />}
    </Field>
  ));
  screen.getByLabelText('Kind').focus();
  for (const [letter, value] of [
    ['r', 'raised'],
    ['R', 'rented'],
    ['r', 'raised'],
    ['n', ''],
  ]) {
    await keys(letter!);
    expect(tell).toHaveBeenLastCalledWith(value);
  }
  tell.mockClear();
  await keys('b');
  await keys('{Control>}r{/Control}');
  expect(tell).not.toHaveBeenCalled();
  expect(screen.queryAllByRole('option')).toEqual([]);
});

it('Combobox is searched by letters, without regard to accents, and chosen from', async () => {
  const tell = held('bed-7', (of) => (
    <Field label="Bed">
      {(props) => (
        <Combobox {...props} {...of} options={[...beds, { value: 'nino', label: 'Cama del niño' }]} />
      )}
    </Field>
  ));
  screen.getByLabelText('Bed').focus();
  await keys('{Enter}');
  await userEvent.type(await screen.findByPlaceholderText(w.search.label), 'bed 12');
  expect(screen.getAllByRole('option').map((one) => one.textContent)).toEqual(['Bed 12']);
  await keys('{Enter}');
  expect(tell).toHaveBeenLastCalledWith('bed-12');
  await userEvent.click(screen.getByLabelText('Bed'));
  await userEvent.type(await screen.findByPlaceholderText(w.search.label), 'nino');
  await keys('{Enter}');
  expect(tell).toHaveBeenLastCalledWith('nino');
  await userEvent.click(screen.getByLabelText('Bed'));
  await userEvent.type(await screen.findByPlaceholderText(w.search.label), 'zzz');
  expect(screen.getByText(w.search.none)).toBeTruthy();
});

it('Checkbox and Switch are pressed on their words or with Space', async () => {
  const ticked = held(false, ({ value, onChange }) => (
    <Checkbox label="Children may come" hint="With a guardian" checked={value} onChange={onChange} />
  ));
  const box = screen.getByRole('checkbox', { name: /Children may come/ });
  expect(box.getAttribute('aria-describedby')).toBeTruthy();
  await userEvent.click(screen.getByText('Children may come'));
  expect(ticked).toHaveBeenLastCalledWith(true);
  box.focus();
  await keys(' ');
  expect(ticked).toHaveBeenLastCalledWith(false);
  const switched = held(false, ({ value, onChange }) => (
    <Switch label="With crops" checked={value} onChange={onChange} />
  ));
  await userEvent.click(screen.getByText('With crops'));
  expect(switched).toHaveBeenLastCalledWith(true);
});

it('RadioGroup is chosen from by its words and by arrow keys', async () => {
  const tell = held('ground', (of) => <RadioGroup aria-label="Kind" {...of} options={kinds.slice(1)} />);
  await userEvent.click(screen.getByText('Raised bed'));
  expect(tell).toHaveBeenLastCalledWith('raised');
  expect(screen.getByRole('radio', { name: 'Raised bed' }).getAttribute('aria-checked')).toBe('true');
});

it('ToggleGroup keeps one chosen, also when the chosen one is pressed', async () => {
  const tell = held('ground', (of) => <ToggleGroup label="Kind" {...of} options={kinds.slice(1, 3)} />);
  await userEvent.click(screen.getByText('In the ground'));
  expect(tell).not.toHaveBeenCalled();
  await userEvent.click(screen.getByText('Raised bed'));
  expect(tell).toHaveBeenLastCalledWith('raised');
});

it('Slider is moved by keys, says its value in words, and tells when the hand rests', async () => {
  const rest = vi.fn();
  const tell = held(40, (of) => (
    <Slider aria-label="Strength" shown={`${of.value}%`} min={0} max={100} step={10} onRest={rest} {...of} />
  ));
  const thumb = screen.getByRole('slider', { name: 'Strength' });
  thumb.focus();
  await keys('{ArrowRight}');
  expect(tell).toHaveBeenLastCalledWith(50);
  expect(rest).toHaveBeenLastCalledWith(50);
  expect(thumb.getAttribute('aria-valuetext')).toBe('50%');
});

it('DateField reads what is typed, shows it with its weekday, and gives on what it cannot read as it is', async () => {
  const tell = held('', (of) => <Field label="Day">{(props) => <DateField {...props} {...of} />}</Field>);
  const field = screen.getByLabelText('Day') as HTMLInputElement;
  await userEvent.type(field, '2026-05-23');
  expect(tell).toHaveBeenLastCalledWith('2026-05-23');
  await userEvent.tab();
  expect(field.value).toBe('Sat, May 23, 2026');
  await userEvent.clear(field);
  expect(tell).toHaveBeenLastCalledWith('');
  await userEvent.type(field, 'someday');
  expect(tell).toHaveBeenLastCalledWith('someday');
  expect(field.value).toBe('someday');
});

it('DateField gives on a day that something happens at only once it is all there', async () => {
  const tell = held('2026-05-20', (of) => (
    <Field label="Day">{(props) => <DateField {...props} gives="done" {...of} />}</Field>
  ));
  await userEvent.clear(screen.getByLabelText('Day'));
  await userEvent.type(screen.getByLabelText('Day'), 'may 2');
  expect(tell).not.toHaveBeenCalled();
  await userEvent.type(screen.getByLabelText('Day'), '3{Enter}');
  expect(tell).toHaveBeenCalledTimes(1);
  expect(tell).toHaveBeenCalledWith('2026-05-23');
});

it('DateField chooses a day from a month, and offers none before the first that is allowed', async () => {
  const tell = held('2026-05-23', (of) => (
    <Field label="Day">{(props) => <DateField {...props} min="2026-05-20" {...of} />}</Field>
  ));
  await userEvent.click(screen.getByLabelText(w.day.choose));
  const day = await screen.findByRole('button', { name: 'Tuesday, May 19, 2026' });
  expect((day as HTMLButtonElement).disabled).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Thursday, May 28, 2026' }));
  expect(tell).toHaveBeenLastCalledWith('2026-05-28');
});

it('TimeField reads what is typed and is moved by arrow keys', async () => {
  const tell = held('09:00', (of) => (
    <Field label="From">{(props) => <TimeField {...props} {...of} />}</Field>
  ));
  await userEvent.clear(screen.getByLabelText('From'));
  await userEvent.type(screen.getByLabelText('From'), '2:30 pm');
  expect(tell).toHaveBeenLastCalledWith('14:30');
  await keys('{ArrowUp}{ArrowUp}{ArrowDown}');
  expect(tell).toHaveBeenLastCalledWith('14:45');
});

it('Tabs show one part, and go on by arrow keys', async () => {
  const parts = ['Entries', 'Changes'].map((label) => ({
    value: label,
    label,
    content: <p>{label} here</p>,
  }));
  held('Entries', (of) => <Tabs label="Book" {...of} parts={parts} />);
  expect(screen.queryByText('Changes here')).toBeNull();
  screen.getByRole('tab', { name: 'Entries' }).focus();
  await keys('{ArrowRight}');
  expect(screen.getByText('Changes here')).toBeTruthy();
});

it('Menu is opened and used by keyboard', async () => {
  const onSelect = vi.fn();
  render(
    <Menu
      items={[
        { label: 'Make a series', onSelect },
        { label: 'Remove', onSelect: () => undefined, isDangerous: true },
      ]}
    >
      <Button>More</Button>
    </Menu>,
  );
  screen.getByText('More').focus();
  await keys('{Enter}');
  await keys('{Enter}');
  expect(onSelect).toHaveBeenCalledTimes(1);
});

it('Confirm puts the hand on the way back, and tells which way was taken', async () => {
  const [stays, goes] = [vi.fn(), vi.fn()];
  render(
    <Confirm open title="Erase?" stay="Keep it" go="Erase it" onStay={stays} onGo={goes}>
      <p>It cannot be brought back.</p>
    </Confirm>,
  );
  expect(document.activeElement?.textContent).toBe('Keep it');
  await userEvent.click(screen.getByText('Erase it'));
  expect([goes.mock.calls.length, stays.mock.calls.length]).toEqual([1, 0]);
  await keys('{Escape}');
  expect(stays).toHaveBeenCalledTimes(1);
});

it('Disclosure shows what is asked for, and says whether it is open', async () => {
  render(
    <Disclosure summary="Why">
      <p>Nights stay warm.</p>
    </Disclosure>,
  );
  const button = screen.getByRole('button', { name: 'Why' });
  expect([button.getAttribute('aria-expanded'), screen.queryByText('Nights stay warm.')]).toEqual([
    'false',
    null,
  ]);
  await userEvent.click(button);
  expect(screen.getByText('Nights stay warm.')).toBeTruthy();
});

it('Progress says how far it is, and nothing where that is not known', () => {
  render(<Progress label="Reckoning" share={0.4} />);
  expect(screen.getByLabelText('Reckoning').getAttribute('aria-valuenow')).toBe('40');
  render(<Progress label="Looking" share={null} />);
  expect(screen.getByLabelText('Looking').getAttribute('aria-valuenow')).toBeNull();
});

it('ScrollArea can be reached by the keyboard, and has a name', () => {
  render(<ScrollArea label="Beds">a long list</ScrollArea>);
  expect(screen.getByRole('region', { name: 'Beds' }).tabIndex).toBe(0);
});

it('Tooltip says what a button without words does, when it has the focus', async () => {
  render(
    <Tooltip says="Take it away">
      <Button aria-label="Take it away">×</Button>
    </Tooltip>,
  );
  await userEvent.tab();
  expect((await screen.findByRole('tooltip')).textContent).toContain('Take it away');
});
