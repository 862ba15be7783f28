import { type MyTimes, type MyTimesInput, myTimesInput } from '@unity-acre/contract/crew';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm, useRemedy } from '../kit/form.tsx';
import { useHere, useList, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Loaded } from '../kit/states.tsx';
import { seasonYearOf } from '../season/year.ts';
import { SessionPaths } from '../work/SessionPaths.tsx';
import { AllotmentsPast } from './AllotmentsPast.tsx';
import { AvailabilityField } from './AvailabilityField.tsx';
import { MyPlots } from './MyPlots.tsx';
import { listsOf, Strains, type WillingBy, willingOf } from './Strains.tsx';

interface Values {
  availability: MyTimesInput['availability'];
  strain: WillingBy;
  mostPerWeek: string;
}

const valuesOf = (times: MyTimesInput): Values => ({
  availability: times.availability,
  strain: willingOf(times),
  mostPerWeek: times.mostPerWeek === null ? '' : String(times.mostPerWeek / 60),
});

/** When one can come oneself, how much, and what is hard on one: said without asking a coordinator. */
export default function MyTimesPage() {
  const { t } = useTranslation('people');
  const times = useList('myTimes');
  const { garden } = useHere();
  const year = seasonYearOf(garden, garden.today);
  return (
    <div className="flex flex-col gap-6">
      <h1>{t('mine.title')}</h1>
      <SessionPaths />
      <p className="max-w-prose text-ink-soft">{t('mine.lead')}</p>
      <MyPlots />
      <Loaded of={times}>{(mine) => <Form key={mine.version} mine={mine} />}</Loaded>
      <AllotmentsPast year={year + 1} />
      <AllotmentsPast year={year} />
    </div>
  );
}

function Form({ mine }: { mine: MyTimes }) {
  const { t } = useTranslation(['people', 'kit']);
  const { garden } = useHere();
  const remedy = useRemedy();
  const save = useWrite('saveMyTimes', () => t('people:mine.saved'));
  const form = useBodyForm<Values, MyTimesInput>({
    schema: myTimesInput,
    defaults: valuesOf(mine),
    version: mine.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      availability: values.availability,
      ...listsOf(values.strain),
      mostPerWeek:
        values.mostPerWeek.trim() === ''
          ? null
          : Math.round(read.number('mostPerWeek', values.mostPerWeek) * 60),
    }),
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const { errors } = form.formState;
  return (
    <form onSubmit={form.submit} noValidate className="flex max-w-xl flex-col gap-6">
      <AvailabilityField
        value={form.watch('availability')}
        today={garden.today}
        onChange={(value) => form.setValue('availability', value)}
      />
      {errors.availability && (
        <p role="alert" className="text-beet text-sm">
          {remedy(String(errors.availability.message))}
        </p>
      )}
      <Strains value={form.watch('strain')} onChange={(value) => form.setValue('strain', value)} />
      <Field label={t('people:mostPerWeek')} error={errors.mostPerWeek?.message}>
        {(props) => (
          <input {...props} {...form.register('mostPerWeek')} inputMode="decimal" className="input w-32" />
        )}
      </Field>
      <RefusedNote refused={form.refused} clash={form.clash} />
      <Button type="submit" look="act" disabled={form.busy} className="self-start">
        {t('kit:save')}
      </Button>
    </form>
  );
}
