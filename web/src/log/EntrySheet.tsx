import type { Entry } from '@unity-acre/contract/log';
import { useTranslation } from 'react-i18next';
import { Sheet } from '../kit/screens/index.ts';
import { EntryForm } from './EntryForm.tsx';

/** An entry that is corrected. */
export function EntrySheet({ entry, onClose }: { entry: Entry; onClose(): void }) {
  const { t } = useTranslation('log');
  return (
    <Sheet open title={t('correct')} onClose={onClose}>
      <EntryForm start={entry as never} entry={entry} onSaved={onClose} />
    </Sheet>
  );
}
