import type { Tool } from '@unity-acre/contract/work';
import { type Material, materialRow, materials } from '@unity-acre/core/crops';
import { sheetNames, toolNames } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { useMeasure } from '../../garden/index.ts';

/** Things that come back and are counted by the piece: a garden counts them as it does its tools. */
export const keptMaterials: readonly string[] = materials.filter(
  (material) => materialRow(material).backAt && materialRow(material).unit === 'count',
);

/** A tool's name in the reader's language; one the garden named itself stays as it was written. */
export function useToolName(): (name: string) => string {
  const { t } = useTranslation(['rota', 'materials']);
  return (name) => {
    if (sheetNames.includes(name)) return t(`rota:tools.${name as 'frostCloth' | 'net'}`);
    if (toolNames.includes(name)) return t(`rota:tool.${name}` as 'rota:tool.fork');
    return keptMaterials.includes(name) ? t(`materials:name.${name as Material}`) : name;
  };
}

/** A tool's name, with its sides where it is counted by them. */
export function useToolWords(): (tool: Pick<Tool, 'name' | 'width' | 'length'>) => string {
  const { t } = useTranslation('rota');
  const nameOf = useToolName();
  const measure = useMeasure();
  return ({ name, width, length }) =>
    width === null || length === null
      ? nameOf(name)
      : t('tools.sized', {
          ...{ name: nameOf(name), width: measure.length(width), length: measure.length(length) },
        });
}
