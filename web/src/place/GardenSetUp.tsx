import { gardenInput } from '@unity-acre/contract/place';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { useBodyForm } from '../kit/form.tsx';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { BackupSection } from './BackupSection.tsx';
import { FrostChart } from './FrostChart.tsx';
import { GardenPaths } from './GardenPaths.tsx';
import { GardenFields, type GardenValues, gardenBody, gardenValues } from './gardenForm.tsx';
import { SunChart } from './SunChart.tsx';

/** The garden's place and what follows from it. */
export default function GardenSetUp() {
  const { t } = useTranslation('place');
  const { garden } = useHere();
  const coordinates = useCoordinates();
  return (
    <div className="flex flex-col gap-7">
      <h1>{t('page.title')}</h1>
      <GardenPaths />
      <div className="grid gap-10 xl:grid-cols-[minmax(0,30rem)_1fr]">
        <GardenForm key={garden.version} />
        <div className="flex flex-col gap-8">
          <section className="furrow">
            <h2>{t('facts.sun')}</h2>
            <SunChart />
          </section>
          <section className="furrow">
            <h2>{t('facts.frost')}</h2>
            <FrostChart />
          </section>
          {coordinates && <BackupSection />}
        </div>
      </div>
    </div>
  );
}

function GardenForm() {
  const { t } = useTranslation(['place', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const save = useWrite('saveGarden', () => t('place:saved'));
  const form = useBodyForm<GardenValues, ReturnType<typeof gardenInput.parse>>({
    schema: gardenInput,
    defaults: gardenValues(garden),
    version: garden.version,
    toValues: gardenValues,
    toBody: gardenBody,
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  return (
    <form onSubmit={form.submit} noValidate className="furrow flex flex-col gap-4 self-start">
      <h2>{t('place:page.place')}</h2>
      <GardenFields
        register={form.register}
        errors={form.formState.errors}
        values={form.watch()}
        readOnly={!coordinates}
        spot
      />
      <RefusedNote refused={form.refused} clash={form.clash} />
      {coordinates && (
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('kit:save')}
        </Button>
      )}
    </form>
  );
}
