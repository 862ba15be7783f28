import type { Family } from '@unity-acre/core/crops';
import { useTranslation } from 'react-i18next';

/* A hue and a drawn mark for each family: seen without colour, the marks still differ. */
const marks: Record<Family, { hue: string; path: string }> = {
  nightshades: {
    hue: '#b3372f',
    path: 'M8 3.2 9.5 6.4 13 6.8 10.4 9.2 11.1 12.7 8 11 4.9 12.7 5.6 9.2 3 6.8 6.5 6.4Z',
  },
  cucurbits: {
    hue: '#c2660c',
    path: 'M8 3C3.5 3 2.5 13 8 13S12.5 3 8 3Zm0 0v10M5.4 4.6c-.9 2-.9 5 0 7M10.6 4.6c.9 2 .9 5 0 7',
  },
  brassicas: {
    hue: '#2d6f8c',
    path: 'M8 8V3.4M8 8v4.6M8 8H3.4M8 8h4.6M5.6 3.6h4.8M5.6 12.4h4.8M3.6 5.6v4.8M12.4 5.6v4.8',
  },
  legumes: { hue: '#3f7a2a', path: 'M3 4.5C5 12 11 13.5 13.2 12.6 11 6 6 3 3 4.5Zm3 2.6h.1m2 2h.1m2 1.7h.1' },
  alliums: { hue: '#7a4fa0', path: 'M8 2.6V6m0 0c-6 2-4 7.4 0 7.4S14 8 8 6ZM5.4 3.4 8 6l2.6-2.6' },
  beetFamily: {
    hue: '#9c1f5b',
    path: 'M8 6c-4.6 0-4.6 6-0 7.6C12.600 12 12.600 6 8 6Zm0 0V2.600m0 3.400C6 5 5 4 5 2.600m3 3.400c2-1 3-2 3-3.400',
  },
  carrotFamily: { hue: '#d0700f', path: 'M4.500 4.500h7L8 14ZM8 4.500V2M5.800 2.400 8 4.500l2.200-2.100' },
  daisyFamily: {
    hue: '#927208',
    path: 'M8 6a2 2 0 1 0 0 4 2 2 0 0 0 0-4Zm0-3.500V5m0 6v2.500M2.500 8H5m6 0h2.500M4.200 4.200 6 6m4 4 1.800 1.800m0-7.600L10 6m-4 4-1.800 1.800',
  },
  mintFamily: {
    hue: '#0f7d74',
    path: 'M8 13.500V3M8 5.500C5 5.500 4 4.500 3.500 2.800M8 5.500c3 0 4-1 4.500-2.700M8 9.500c-3 0-4-1-4.500-2.700M8 9.500c3 0 4-1 4.500-2.700',
  },
};

export const familyHue = (family: Family): string => marks[family].hue;

/** The drawing of a family's mark, for use inside another drawing; it fills a 16 × 16 square. */
export function FamilyGlyph({ family, ink }: { family: Family; ink?: string }) {
  const { hue, path } = marks[family];
  return (
    <path
      d={path}
      fill="none"
      stroke={ink ?? hue}
      strokeWidth={1.5}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

export function FamilyMark({ family, size = 20 }: { family: Family; size?: number }) {
  const { t } = useTranslation('season');
  const name = t(`family.${family}`);
  return (
    <svg viewBox="0 0 16 16" width={size} height={size} role="img" aria-label={name} className="shrink-0">
      <title>{name}</title>
      <rect width="16" height="16" rx="3" className="fill-mark-ground" />
      <FamilyGlyph family={family} />
    </svg>
  );
}
