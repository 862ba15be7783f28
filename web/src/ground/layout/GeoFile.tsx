import { table } from '@unity-acre/contract';
import type { GeoImport } from '@unity-acre/contract/ground';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { FileField, firstFault, hasFields } from '../../kit/forms/index.ts';

/** More notes than this are told by their number. */
const MOST_NOTES = 12;

/** The ground as GeoJSON, out and in. A file is looked through before anything is saved. */
export function GeoFile() {
  const { t } = useTranslation('layout');
  const { garden } = useHere();
  const counted = ({ beds, landmarks }: Pick<GeoImport, 'beds' | 'landmarks'>) => ({
    beds: t('file.beds', { count: beds }),
    landmarks: t('file.landmarks', { count: landmarks }),
  });
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<GeoImport | null>(null);
  const read = useWrite('importGround', {
    say: ({ data: { saved, beds, landmarks } }) =>
      saved ? t('file.saved', counted({ beds, landmarks })) : null,
    isShownHere: hasFields,
  });
  const send = (content: File, dry: 'yes' | 'no') =>
    read.mutate(
      { query: { dry }, file: { content } },
      {
        onSuccess: ({ data }) => {
          setFound(data.saved ? null : data);
          if (data.saved) setFile(null);
        },
      },
    );

  return (
    <div className="flex flex-col gap-3">
      <a
        href={table.groundFile.path.replace(':gardenId', garden.id)}
        download
        className="underline underline-offset-4"
      >
        {t('file.out')}
      </a>
      <FileField
        label={t('file.in')}
        hint={t('file.hint')}
        error={firstFault(read.error)}
        accept=".geojson,.json,application/geo+json,application/json"
        onFile={(chosen) => {
          setFile(chosen);
          setFound(null);
          read.reset();
          if (chosen) send(chosen, 'yes');
        }}
      />
      {found && file && (
        <div className="flex flex-col gap-2 border-blossom border-l-4 bg-straw-soft p-3 text-sm">
          <p className="font-semibold">{t('file.found', counted(found))}</p>
          <ul className="list-disc pl-5">
            {found.notes.slice(0, MOST_NOTES).map(({ feature, problem, mended }) => (
              <li key={`${feature} ${problem}`} className={mended ? '' : 'text-beet'}>
                {t('file.note', { feature, what: t(`file.problem.${problem}`) })}
              </li>
            ))}
          </ul>
          {found.notes.length > MOST_NOTES && (
            <p>{t('file.more', { count: found.notes.length - MOST_NOTES })}</p>
          )}
          {found.beds + found.landmarks > 0 && (
            <Button look="act" className="self-start" onClick={() => send(file, 'no')}>
              {t('file.put')}
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
