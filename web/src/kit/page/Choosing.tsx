import { useState } from 'react';
import { Checkbox, Combobox, RadioGroup, Select, Slider, Switch, ToggleGroup } from '../controls/index.ts';
import { Field } from '../forms/index.ts';

const kinds = [
  { value: 'ground', label: 'In the ground' },
  { value: 'raised', label: 'Raised bed' },
  { value: 'box', label: 'Box', detail: 'needs water twice a day' },
];
const beds = Array.from({ length: 40 }, (_, i) => ({ value: `bed-${i + 1}`, label: `Bed ${i + 1}` }));

/** Controls that one chooses with. */
export function Choosing() {
  const [kind, setKind] = useState('raised');
  const [bed, setBed] = useState('bed-7');
  const [isOn, setOn] = useState(true);
  const [share, setShare] = useState(40);
  return (
    <div className="flex flex-col gap-4">
      <Field label="Kind">
        {(props) => <Select {...props} value={kind} onChange={setKind} options={kinds} />}
      </Field>
      <Field label="Bed">
        {(props) => <Combobox {...props} value={bed} onChange={setBed} options={beds} />}
      </Field>
      <RadioGroup aria-label="Kind of ground" value={kind} onChange={setKind} options={kinds} />
      <ToggleGroup label="Kind" value={kind} onChange={setKind} options={kinds} />
      <Checkbox label="Children may come" hint="With a guardian" checked={isOn} onChange={setOn} />
      <Switch label="With what grows there" checked={isOn} onChange={setOn} />
      <Slider aria-label="Strength" shown={`${share}%`} min={0} max={100} value={share} onChange={setShare} />
    </div>
  );
}
