import { type Material, materialRow, materials } from '@unity-acre/core/crops';
import { toolNames } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';

/** Things that come back and are counted by the piece: a garden counts them as it does its tools. */
export const keptMaterials: readonly string[] = materials.filter(
  (material) => materialRow(material).backAt && materialRow(material).unit === 'count',
);

/** A tool's name in the reader's language; one the garden named itself stays as it was written. */
export function useToolName(): (name: string) => string {
  const { t } = useTranslation(['rota', 'materials']);
  return (name) => {
    if (toolNames.includes(name)) return t(`rota:tool.${name}` as 'rota:tool.fork');
    return keptMaterials.includes(name) ? t(`materials:name.${name as Material}`) : name;
  };
}
