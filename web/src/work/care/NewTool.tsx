import { type Tool, toolInput } from '@unity-acre/contract/work';
import { toolNames } from '@unity-acre/core/work';
import { useId } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { keptMaterials, useToolName } from './toolName.ts';

/** Counts a tool that is not in the list: one that tasks ask for, or any other. */
export function NewTool({ known }: { known: Tool[] }) {
  const { t } = useTranslation('rota');
  const nameOf = useToolName();
  const offered = useId();
  const save = useWrite('saveTool', ({ data }) =>
    t('tools.saved', { name: nameOf(data.name), count: data.count }),
  );
  const asked = [...toolNames, ...keptMaterials].filter((name) => !known.some((tool) => tool.name === name));
  // People type the name they read; the garden keeps the one its tasks ask for.
  const keyOf = (typed: string) => asked.find((name) => nameOf(name) === typed.trim()) ?? typed;
  const form = useBodyForm({
    draft: 'tool new',
    schema: toolInput,
    defaults: { name: '', count: '1' },
    toBody: (values, read) => ({
      ...{ name: keyOf(values.name), count: read.number('count', values.count) },
      ...{ width: null, length: null },
    }),
    send: (body) => save.mutateAsync({ params: { id: newId() }, body }),
  });
  return (
    <Form of={form} className="flex flex-wrap items-start gap-3">
      <Field label={t('tools.name')} name="name">
        {(props) => (
          <input
            {...props}
            {...form.register('name')}
            list={offered}
            className="input w-52"
            autoComplete="off"
          />
        )}
      </Field>
      <datalist id={offered}>
        {asked.map((name) => (
          <option key={name} value={nameOf(name)} />
        ))}
      </datalist>
      <Field label={t('tools.count')} name="count">
        {(props) => (
          <input {...props} {...form.register('count')} inputMode="numeric" className="input w-20" />
        )}
      </Field>
      <Button type="submit" look="act" disabled={form.busy} className="mt-6">
        {t('tools.add')}
      </Button>
      <FormFaults />
    </Form>
  );
}
