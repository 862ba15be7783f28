import { toolNames } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';

/** A tool's name in the reader's language; one the garden named itself stays as it was written. */
export function useToolName(): (name: string) => string {
  const { t } = useTranslation('rota');
  return (name) => (toolNames.includes(name) ? t(`tool.${name}` as 'tool.fork') : name);
}
