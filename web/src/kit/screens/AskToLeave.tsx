import { useTranslation } from 'react-i18next';
import { Confirm } from '../controls/index.ts';

/** Asks whether what is typed may be lost. */
export function AskToLeave(props: { open: boolean; onStay(): void; onGo(): void }) {
  const { t } = useTranslation('kit');
  return (
    <Confirm {...props} title={t('leave.title')} stay={t('leave.stay')} go={t('leave.go')}>
      <p>{t('leave.lead')}</p>
    </Confirm>
  );
}
