import { table } from '@unity-acre/contract';
import type { Underlay as Lying } from '@unity-acre/contract/ground';
import { useHere, useList } from '../../garden/index.ts';

/** The picture under the plan, where there is one. */
export function Underlay({ lying }: { lying?: Lying | undefined }) {
  const { garden } = useHere();
  const underlays = useList('underlays');
  const shown = lying ?? underlays.data?.[0];
  if (!shown) return null;
  const width = shown.width * shown.metresPerPixel;
  const height = shown.height * shown.metresPerPixel;
  return (
    <image
      href={table.picture.path.replace(':gardenId', garden.id).replace(':id', shown.pictureId)}
      x={shown.x}
      y={-(shown.y + height)}
      width={width}
      height={height}
      opacity={shown.strength}
      transform={`rotate(${shown.angle} ${shown.x + width / 2} ${-(shown.y + height / 2)})`}
      preserveAspectRatio="none"
      className="pointer-events-none"
    />
  );
}
