import type { Session, TaskView } from '@unity-acre/contract/work';
import { totalled } from '@unity-acre/core/crops';
import { isRoundKind, roundMaterial, taskRow, workNeeds } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useCropNames } from '../../crops/names.ts';
import { useMeasure } from '../../garden/index.ts';
import { useToolName } from '../care/index.ts';
import { useAmountWords } from '../useAmountWords.ts';
import { useMaterialNeeds } from '../useMaterialNeeds.ts';

/** Tools and what is sown or planted, added up for the session. */
export function BringList({ tasks, session }: { tasks: TaskView[]; session: Session }) {
  const { t } = useTranslation(['day', 'materials']);
  const { of: amountOf } = useAmountWords();
  const needsOf = useMaterialNeeds();
  const { number, volume, area } = useMeasure();
  const toolName = useToolName();
  const names = useCropNames();
  const tools = new Map<string, number>();
  const goods: string[] = [];
  for (const task of tasks) {
    const { tools: asked, fewest } = workNeeds(task);
    const crew = session.crews.find(({ taskId }) => taskId === task.id)?.members.length ?? 0;
    for (const { tool, per } of asked) {
      // One after another, tasks use the same tools: the most at one time is what is fetched.
      const n = per === 'person' ? Math.max(fewest, crew) : 1;
      tools.set(tool, Math.max(tools.get(tool) ?? 0, n));
    }
    if (isRoundKind(task.kind)) {
      const material = roundMaterial(task.kind, task.area);
      if (material) {
        goods.push(
          t(`card.material.${material.of}`, {
            volume: volume(material.volume, material.of === 'water' ? 'water' : 'solid'),
            area: area(task.area),
          }),
        );
      }
      continue;
    }
    const crop = names.inText(task.cropId);
    const { amount, isBrought } = taskRow(task.kind).card;
    if (!isBrought) continue;
    if (amount === 'seeds') {
      goods.push(`${crop}: ${t('card.amount.seeds', { seeds: number(task.seeds, 0) })}`);
    }
    if (amount === 'plants') {
      goods.push(`${crop}: ${t('card.amount.plants', { plants: number(task.plants, 0) })}`);
    }
  }
  const materials = totalled(tasks.flatMap((task) => needsOf(task)));
  if (tools.size === 0 && goods.length === 0) return null;
  return (
    <section className="furrow print:break-inside-avoid">
      <h2>{t('bring')}</h2>
      <ul>
        {[...tools].map(([tool, n]) => (
          <li key={tool} className="border-line border-b py-1">
            {t('bringTool', { n, tool: toolName(tool) })}
          </li>
        ))}
        {materials.map((need) => (
          <li key={need.material} className="border-line border-b py-1">
            {t('materials:bring', { what: t(`materials:name.${need.material}`), amount: amountOf(need) })}
          </li>
        ))}
        {goods.map((line) => (
          <li key={line} className="border-line border-b py-1">
            {line}
          </li>
        ))}
      </ul>
    </section>
  );
}
