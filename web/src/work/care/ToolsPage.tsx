import { type Tool, toolInput } from '@unity-acre/contract/work';
import { toolNames } from '@unity-acre/core/work';
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCoordinates, useList, useWrite } from '../../garden/index.ts';
import { SessionPaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { ReadyList } from './ReadyList.tsx';
import { keptMaterials, useToolName } from './toolName.ts';

/** The tools a garden owns, counted, so that a rota does not need more of one than there are. */
export default function ToolsPage() {
  const { t } = useTranslation('rota');
  const tools = useList('tools');
  const coordinates = useCoordinates();
  return (
    <Screen title={t('tools.title')}>
      <SessionPaths />
      <p className="max-w-prose text-ink-soft">{t('tools.lead')}</p>
      <Loaded of={tools}>
        {(list) => (
          <div className="flex max-w-3xl flex-col gap-6">
            {list.length === 0 && <Bare title={t('tools.none')} />}
            <ul>
              {list.map((tool) => (
                <ToolRow key={tool.id} tool={tool} />
              ))}
            </ul>
            {coordinates && <NewTool key={list.length} known={list} />}
            <ReadyList tools={list} />
          </div>
        )}
      </Loaded>
    </Screen>
  );
}

function ToolRow({ tool }: { tool: Tool }) {
  const { t } = useTranslation(['rota', 'kit']);
  const coordinates = useCoordinates();
  const nameOf = useToolName();
  const name = nameOf(tool.name);
  const [count, setCount] = useState(String(tool.count));
  const save = useWrite('saveTool', ({ data }) =>
    t('rota:tools.saved', { name: nameOf(data.name), count: data.count }),
  );
  const remove = useWrite('removeTool', () => t('rota:tools.removed'));
  const parsed = toolInput.safeParse({ name: tool.name, count: Number(count) });
  return (
    <li className="flex flex-wrap items-center gap-3 border-line border-b py-1.5">
      <span className="mr-auto">{name}</span>
      {coordinates ? (
        <>
          <input
            className="input w-20 text-right"
            inputMode="numeric"
            aria-label={`${name}, ${t('rota:tools.count')}`}
            aria-invalid={!parsed.success}
            value={count}
            onChange={(event) => setCount(event.target.value)}
          />
          <Button
            disabled={!parsed.success || Number(count) === tool.count}
            onClick={() =>
              save.mutate({ params: { id: tool.id }, body: parsed.data!, ifMatch: tool.version })
            }
          >
            {t('kit:save')}
          </Button>
          <Button
            look="quiet"
            aria-label={t('rota:tools.remove', { name })}
            onClick={() => remove.mutate({ params: { id: tool.id }, ifMatch: tool.version })}
          >
            <X aria-hidden size={18} />
          </Button>
        </>
      ) : (
        <span>{tool.count}</span>
      )}
    </li>
  );
}

/** Counts a tool that is not in the list: one that tasks ask for, or any other. */
function NewTool({ known }: { known: Tool[] }) {
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
    toBody: (values, read) => ({ name: keyOf(values.name), count: read.number('count', values.count) }),
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
