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
  grasses: {
    hue: '#8a6d12',
    path: 'M8 14V3M8 5 5.500 3M8 5l2.500-2M8 7.500 5 5.500M8 7.500l3-2M8 10 5 8M8 10l3-2',
  },
  knotweeds: { hue: '#a8432f', path: 'M8 2.500 12 9H9.500L11 13.500 8 11l-3 2.500L6.500 9H4Z' },
  mallows: {
    hue: '#a33d86',
    path: 'M8 8 8 2.800M8 8l5-1.600M8 8l3 4.300M8 8l-3 4.300M8 8 3 6.400M8 2.800 13 6.400 11 12.300H5L3 6.400Z',
  },
  bindweeds: {
    hue: '#5b5bb5',
    path: 'M3 4.500C5 3 11 3 13 4.500L8.700 11v2.500H7.300V11ZM3 4.500C5 6 11 6 13 4.500',
  },
  asparagusFamily: {
    hue: '#4f7d2e',
    path: 'M8 2.500C6 5 6 7 6.500 13.500h3C10 7 10 5 8 2.500ZM6.500 8 8 6.500 9.500 8M6.500 11 8 9.500 9.500 11',
  },
  roseFamily: {
    hue: '#b02a4c',
    path: 'M8 13.500C3 10 3 6 5.500 5.500 7 5.200 8 6 8 6s1-.800 2.500-.500C13 6 13 10 8 13.500ZM8 6V3M6 8.500h.100m3.800 0h.100M8 10.500h.100',
  },
  borageFamily: {
    hue: '#2a63ad',
    path: 'M8 2.500 9 7l4.500 1L9 9l-1 4.500L7 9 2.500 8 7 7ZM4 4l2 2m4 4 2 2m0-8-2 2m-4 4-2 2',
  },
  nasturtiums: {
    hue: '#c4560a',
    path: 'M8 3a5 5 0 1 0 0 10A5 5 0 0 0 8 3Zm0 5L4 5.500M8 8l4-2.500M8 8v5M8 8l-4.500 2M8 8l4.500 2',
  },
  coverCrops: {
    hue: '#5d6b3a',
    path: 'M2.500 12.500h11M2.500 9.500h11M4 9.500V5m4 4.500V3m4 6.500V5M4 5 3 3.500M4 5l1-1.500M12 5l-1-1.500M12 5l1-1.500',
  },
};

export const familyHue = (family: Family): string => marks[family].hue;

/** How a family's mark is drawn; it fills a 16 × 16 square. */
export const familyLook = (family: Family): { hue: string; path: string } => marks[family];

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
  const { t } = useTranslation('kit');
  const name = t(`family.${family}`);
  return (
    <svg viewBox="0 0 16 16" width={size} height={size} role="img" aria-label={name} className="shrink-0">
      <title>{name}</title>
      <rect width="16" height="16" rx="3" className="fill-mark-ground" />
      <FamilyGlyph family={family} />
    </svg>
  );
}
