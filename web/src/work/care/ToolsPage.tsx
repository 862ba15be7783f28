import { type Tool, toolInput } from '@unity-acre/contract/work';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useList, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';
import { NewSheet } from './NewSheet.tsx';
import { NewTool } from './NewTool.tsx';
import { ReadyList } from './ReadyList.tsx';
import { useToolWords } from './toolName.ts';

const isSheet = ({ width }: Tool): boolean => width !== null;

/** The tools a garden owns, counted, so that a rota does not need more of one than there are. */
export default function ToolsPage() {
  const { t } = useTranslation('rota');
  const tools = useList('tools');
  const coordinates = useCoordinates();
  return (
    <Screen title={t('tools.title')}>
      <p className="max-w-prose text-ink-soft">{t('tools.lead')}</p>
      <Loaded of={tools}>
        {(list) => (
          <div className="flex max-w-3xl flex-col gap-6">
            {list.length === 0 && <Bare title={t('tools.none')} />}
            <ToolList tools={list.filter((tool) => !isSheet(tool))} />
            {coordinates && <NewTool key={list.length} known={list} />}
            <section className="furrow">
              <h2>{t('tools.sheets')}</h2>
              <p className="max-w-prose text-ink-soft">{t('tools.sheetsLead')}</p>
              <ToolList tools={list.filter(isSheet)} />
              {coordinates && <NewSheet key={list.length} />}
            </section>
            <ReadyList tools={list} />
          </div>
        )}
      </Loaded>
    </Screen>
  );
}

function ToolList({ tools }: { tools: Tool[] }) {
  if (tools.length === 0) return null;
  return (
    <ul>
      {tools.map((tool) => (
        <ToolRow key={tool.id} tool={tool} />
      ))}
    </ul>
  );
}

function ToolRow({ tool }: { tool: Tool }) {
  const { t } = useTranslation(['rota', 'kit']);
  const coordinates = useCoordinates();
  const wordsOf = useToolWords();
  const name = wordsOf(tool);
  const [count, setCount] = useState(String(tool.count));
  const save = useWrite('saveTool', ({ data }) =>
    t('rota:tools.saved', { name: wordsOf(data), count: data.count }),
  );
  const remove = useWrite('removeTool', () => t('rota:tools.removed'));
  const parsed = toolInput.safeParse({ ...inputOf(tool), count: Number(count) });
  return (
    <li className="flex items-center gap-2 border-line border-b py-1.5 sm:gap-3">
      <span className="min-w-0 flex-1">{name}</span>
      {coordinates ? (
        <>
          <input
            className="input w-16 text-right sm:w-20"
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

const inputOf = ({ id: _, version: __, ...input }: Tool) => input;
