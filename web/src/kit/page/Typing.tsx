import { useState } from 'react';
import { DateField, TimeField } from '../controls/index.ts';
import { Field, FileField } from '../forms/index.ts';

/** Fields that one types into. */
export function Typing() {
  const [day, setDay] = useState('2026-05-23');
  const [time, setTime] = useState('09:00');
  return (
    <div className="flex flex-col gap-4">
      <Field label="Name" hint="As it stands on the bed's sign">
        {(props) => <input {...props} className="input" defaultValue="School bed 2" />}
      </Field>
      <Field label="Width" error="notALength">
        {(props) => <input {...props} className="input" defaultValue="four feet" />}
      </Field>
      <Field label="Day">{(props) => <DateField {...props} value={day} onChange={setDay} />}</Field>
      <Field label="From">{(props) => <TimeField {...props} value={time} onChange={setTime} />}</Field>
      <Field label="Note" layout="beside">
        {(props) => <textarea {...props} className="input" rows={2} defaultValue="Needs new paint" />}
      </Field>
      <FileField label="A file" hint="CSV" error={undefined} accept=".csv" onFile={() => undefined} />
    </div>
  );
}
