import type { tenureKinds } from '@unity-acre/contract/ground';
import { useTranslation } from 'react-i18next';
import { tenureFill } from './tenureLook.ts';

/** One way in which beds are used, with its colour. */
export function TenureKey({ kind }: { kind: (typeof tenureKinds)[number] | 'none' }) {
  const { t } = useTranslation('ground');
  return (
    <span className="flex items-center gap-2">
      <svg width="22" height="14" aria-hidden>
        <rect x="0.5" y="0.5" width="21" height="13" className={`${tenureFill[kind]} stroke-ink`} />
      </svg>
      {t(`tenure.${kind}`)}
    </span>
  );
}
