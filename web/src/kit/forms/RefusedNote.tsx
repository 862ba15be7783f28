import { useTranslation } from 'react-i18next';
import { type Refused, refusalKey } from '../refused.ts';

/** Why something was refused, as a whole, and what to do. */
export function RefusedNote({ refused }: { refused: Refused | null }) {
  const { t } = useTranslation(['problem', 'kit']);
  if (!refused) return null;
  const at = refusalKey(refused);
  return (
    <div role="alert" className="border-beet border-l-4 bg-beet-soft px-3 py-2 text-beet">
      <p className="font-semibold">{t(`${at}.title`)}</p>
      <p>{t(`${at}.detail`)}</p>
    </div>
  );
}
