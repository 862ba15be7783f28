import { gardenInput } from '@unity-acre/contract/place';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useWrite } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Screen } from '../../kit/screens/index.ts';
import { FrostChart, SunChart } from '../climate/index.ts';
import { GardenPaths } from '../GardenPaths.tsx';
import { BackupSection } from './BackupSection.tsx';
import { GardenFields } from './GardenFields.tsx';
import { type GardenValues, gardenBody, gardenField, gardenValues } from './gardenForm.ts';

/** The garden's place and what follows from it. */
export default function GardenSetUp() {
  const { t } = useTranslation('place');
  const coordinates = useCoordinates();
  return (
    <Screen title={t('page.title')} className="flex flex-col gap-7">
      <GardenPaths />
      <div className="grid gap-10 xl:grid-cols-[minmax(0,30rem)_1fr]">
        <GardenForm />
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
    </Screen>
  );
}

function GardenForm() {
  const { t } = useTranslation(['place', 'kit']);
  const dates = useDates();
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const save = useWrite('saveGarden', () => t('place:saved'));
  const form = useBodyForm<GardenValues, ReturnType<typeof gardenInput.parse>>({
    schema: gardenInput,
    draft: 'garden',
    defaults: gardenValues(garden, dates),
    version: garden.version,
    toValues: (row) => gardenValues(row, dates),
    flat: gardenField,
    toBody: (values, read) => gardenBody(values, read, dates),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const better = garden.record ? 'record' : garden.normals ? 'means' : null;
  return (
    <Form of={form} className="furrow flex flex-col gap-4 self-start">
      <h2>{t('place:page.place')}</h2>
      <GardenFields form={form} readOnly={!coordinates} spot better={better} />
      <FormFaults />
      {coordinates && (
        <Button type="submit" look="act" disabled={form.busy} className="self-start">
          {t('kit:save')}
        </Button>
      )}
    </Form>
  );
}
