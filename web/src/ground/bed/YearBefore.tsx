import type { Bed } from '@unity-acre/contract/ground';
import { useCatalogue } from '../../crops/catalogue.ts';
import { datesAlone, useSeasonList } from '../../garden/index.ts';
import { FamilyMark } from '../../kit/FamilyMark.tsx';
import { usePreferences } from '../../preferences.ts';

/** One earlier season of a bed. */
export function YearBefore({ bed, year, who }: { bed: Bed; year: number; who: string }) {
  const language = usePreferences((preferences) => preferences.language);
  const catalogue = useCatalogue();
  const plantings = useSeasonList('plantings', year, datesAlone);
  const grown = [...new Set((plantings.data ?? []).filter((p) => p.bedId === bed.id).map((p) => p.cropId))];
  return (
    <li className="border-line border-b py-1.5">
      <span className="font-semibold">{year}</span> <span className="text-ink-soft text-sm">{who}</span>
      <span className="flex flex-wrap gap-x-3">
        {grown.map((id) => {
          const crop = catalogue.crop(id);
          return (
            crop && (
              <span key={id} className="flex items-center gap-1">
                <FamilyMark family={crop.family} size={16} />
                {crop.name[language]}
              </span>
            )
          );
        })}
      </span>
    </li>
  );
}
