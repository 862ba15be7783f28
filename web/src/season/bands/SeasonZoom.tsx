import type { ComponentProps } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { useHere } from '../../garden/index.ts';
import { LinkGroup } from '../../kit/LinkGroup.tsx';
import { Bands, bandsFrom } from './Bands.tsx';
import { BedSpans } from './BedSpans.tsx';
import { type Zoom, zooms } from './bandScale.ts';

type BandProps = Omit<ComponentProps<typeof Bands>, 'zoom'>;

/** How near one looks, from the address. */
function useZoom(): Zoom {
  const asked = useSearchParams()[0].get('zoom');
  return asked !== null && asked in zooms ? (asked as Zoom) : 'year';
}

/** The bands as near as one looks at them. */
export function ZoomedBands(props: BandProps) {
  return <Bands {...props} zoom={useZoom()} />;
}

/** A week, a month or the year across the page. */
export function ZoomBar() {
  const { t } = useTranslation('season');
  const [search] = useSearchParams();
  const zoom = useZoom();
  const to = (name: string) => {
    const next = new URLSearchParams(search);
    next.set('zoom', name);
    return `?${next}`;
  };
  return (
    <LinkGroup
      label={t('zoom.label')}
      links={(['week', 'month', 'year'] as const).map((name) => ({
        to: to(name),
        label: t(`zoom.${name}`),
        isCurrent: name === zoom,
      }))}
    />
  );
}

/** Bed by bed, where the bands would be cut off. */
export function OnPhone({ beds, plantings, year, onSelect }: BandProps) {
  const { garden } = useHere();
  return (
    <BedSpans
      beds={beds}
      plantings={plantings}
      first={bandsFrom(garden.latitude, year)}
      onSelect={onSelect}
    />
  );
}
