import { useQueryClient } from '@tanstack/react-query';
import { CHANGE_HEADER, type Problem, table } from '@unity-acre/contract';
import type { GeoImport } from '@unity-acre/contract/ground';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Refused } from '../kit/ask.ts';
import { Button } from '../kit/Button.tsx';
import { FileField } from '../kit/FileField.tsx';
import { useHere } from '../kit/garden.ts';
import { useNotices } from '../kit/notices.ts';

/** More notes than this are told by their number. */
const MOST_NOTES = 12;

/** The ground as GeoJSON, out and in. A file is looked through before anything is saved. */
export function GeoFile() {
  const { t } = useTranslation(['layout', 'kit']);
  const { garden } = useHere();
  const client = useQueryClient();
  const show = useNotices((notices) => notices.show);
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<GeoImport | null>(null);
  const [error, setError] = useState<string>();
  const address = table.importGround.path.replace(':gardenId', garden.id);

  const send = async (chosen: File, dry: 'yes' | 'no') => {
    setError(undefined);
    try {
      const response = await fetch(`${address}?dry=${dry}`, {
        method: table.importGround.method,
        headers: { 'content-type': 'application/geo+json' },
        body: chosen,
      });
      const answer: unknown = await response.json();
      if (!response.ok) throw new Refused(answer as Problem);
      const result = answer as GeoImport;
      if (!result.saved) return setFound(result);
      setFile(null);
      setFound(null);
      show({
        text: t('layout:file.saved', { beds: result.beds, landmarks: result.landmarks }),
        change: response.headers.get(CHANGE_HEADER),
      });
      await client.invalidateQueries({ queryKey: ['garden', garden.id] });
    } catch (trouble) {
      const first = trouble instanceof Refused ? trouble.problem.errors?.[0] : undefined;
      setError(first ? `${first.code}${first.limit === undefined ? '' : `:${first.limit}`}` : 'wrongType');
    }
  };

  return (
    <div className="flex flex-col gap-3">
      <a
        href={table.groundFile.path.replace(':gardenId', garden.id)}
        download
        className="underline underline-offset-4"
      >
        {t('layout:file.out')}
      </a>
      <FileField
        label={t('layout:file.in')}
        hint={t('layout:file.hint')}
        error={error}
        accept=".geojson,.json,application/geo+json,application/json"
        onFile={(chosen) => {
          setFile(chosen);
          setFound(null);
          setError(undefined);
          if (chosen) void send(chosen, 'yes');
        }}
      />
      {found && file && (
        <div className="flex flex-col gap-2 border-blossom border-l-4 bg-straw-soft p-3 text-sm">
          <p className="font-semibold">
            {t('layout:file.found', { beds: found.beds, landmarks: found.landmarks })}
          </p>
          <ul className="list-disc pl-5">
            {found.notes.slice(0, MOST_NOTES).map(({ feature, problem, mended }) => (
              <li key={`${feature} ${problem}`} className={mended ? '' : 'text-beet'}>
                {t('layout:file.note', { feature, what: t(`layout:file.problem.${problem}`) })}
              </li>
            ))}
          </ul>
          {found.notes.length > MOST_NOTES && (
            <p>{t('layout:file.more', { n: found.notes.length - MOST_NOTES })}</p>
          )}
          {found.beds + found.landmarks > 0 && (
            <Button look="act" className="self-start" onClick={() => send(file, 'no')}>
              {t('layout:file.put')}
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
