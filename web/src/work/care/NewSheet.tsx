import { toolInput } from '@unity-acre/contract/work';
import { FROST_CLOTH, sheetNames } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useMeasure, useWrite } from '../../garden/index.ts';
import { Button, Select } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { useToolName, useToolWords } from './toolName.ts';

/** Counts cloths or nets of one size. */
export function NewSheet() {
  const { t } = useTranslation('rota');
  const nameOf = useToolName();
  const wordsOf = useToolWords();
  const { system } = useMeasure();
  const bare = system === 'imperial' ? 'ft' : 'm';
  const save = useWrite('saveTool', ({ data }) =>
    t('tools.saved', { name: wordsOf(data), count: data.count }),
  );
  const form = useBodyForm({
    draft: 'sheet new',
    schema: toolInput,
    defaults: { name: FROST_CLOTH, width: '', length: '', count: '1' },
    toBody: ({ name, width, length, count }, read) => ({
      name,
      width: read.length('width', width, bare),
      length: read.length('length', length, bare),
      count: read.number('count', count),
    }),
    send: (body) => save.mutateAsync({ params: { id: newId() }, body }),
  });
  return (
    <Form of={form} className="mt-3 flex flex-wrap items-start gap-3">
      <Field label={t('tools.sheet')} name="name">
        {(props) => (
          <Select
            {...props}
            {...form.control('name')}
            className="w-44"
            options={sheetNames.map((name) => ({ value: name, label: nameOf(name) }))}
          />
        )}
      </Field>
      {(['width', 'length'] as const).map((side) => (
        <Field key={side} label={t(`tools.${side}`)} name={side}>
          {(props) => <input {...props} {...form.register(side)} className="input w-24" />}
        </Field>
      ))}
      <Field label={t('tools.pieces')} name="count">
        {(props) => (
          <input {...props} {...form.register('count')} inputMode="numeric" className="input w-20" />
        )}
      </Field>
      <Button type="submit" look="act" disabled={form.busy} className="mt-6">
        {t('tools.addSheet')}
      </Button>
      <FormFaults />
    </Form>
  );
}
