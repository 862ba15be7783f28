import { useTranslation } from 'react-i18next';
import { Button } from '../controls/index.ts';
import { useCloseSheet } from './Sheet.tsx';

interface Props {
  busy: boolean;
  onCancel(): void;
  /** takes away what the sheet shows; absent while it is new */
  onRemove?: (() => void) | undefined;
  removeWords?: string;
}

/** The foot of a form on a sheet: save, leave, and at the far side what takes the thing away. */
export function SheetActions({ busy, onCancel, onRemove, removeWords }: Props) {
  const { t } = useTranslation('kit');
  const close = useCloseSheet();
  return (
    <div className="flex flex-wrap gap-2">
      <Button type="submit" look="act" disabled={busy}>
        {t('save')}
      </Button>
      <Button onClick={close ?? onCancel}>{t('cancel')}</Button>
      {onRemove && (
        <Button look="danger" className="ml-auto" onClick={onRemove}>
          {removeWords ?? t('remove')}
        </Button>
      )}
    </div>
  );
}
