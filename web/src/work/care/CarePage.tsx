import { type Round, roundInput } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { groundArea } from '@unity-acre/core/ground';
import { occurrencesOf, roundKinds, roundMinutes } from '@unity-acre/core/work';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCoordinates, useHere, useList, useWrite } from '../../garden/index.ts';
import { SessionPaths } from '../../garden/paths/index.ts';
import { Button, Checkbox, DateField, ScrollArea, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { Bare, FormSheet, Loaded, Screen } from '../../kit/screens/index.ts';

/** How far ahead the next occurrence is looked for, days. */
const AHEAD = 400;

/** Rounds of care: soil, water, scouting, protection, upkeep. */
export default function CarePage() {
  const { t } = useTranslation('day');
  const rounds = useList('rounds');
  const coordinates = useCoordinates();
  const [edited, setEdited] = useState<Round | 'new' | null>(null);
  return (
    <Screen
      title={t('care.title')}
      actions={
        coordinates && (
          <Button look="act" onClick={() => setEdited('new')}>
            <Plus aria-hidden size={18} />
            {t('care.add')}
          </Button>
        )
      }
    >
      <SessionPaths />
      <p className="max-w-prose text-ink-soft">{t('care.lead')}</p>
      <Loaded of={rounds}>
        {(list) =>
          list.length === 0 ? (
            <Bare title={t('care.none')}>
              <p>{t('care.noneHint')}</p>
            </Bare>
          ) : (
            <ul>
              {list.map((round) => (
                <RoundRow key={round.id} round={round} onEdit={coordinates ? setEdited : undefined} />
              ))}
            </ul>
          )
        }
      </Loaded>
      {edited && <RoundSheet round={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />}
    </Screen>
  );
}

function RoundRow({ round, onEdit }: { round: Round; onEdit: ((round: Round) => void) | undefined }) {
  const { t } = useTranslation(['day', 'work', 'workKinds']);
  const { garden } = useHere();
  const dates = useDates();
  const beds = useList('beds').data ?? [];
  const names = round.bedIds.flatMap((id) => beds.find((bed) => bed.id === id)?.name ?? []);
  const [next] = occurrencesOf(round, addDays(garden.today, 1 - round.span), addDays(garden.today, AHEAD));
  return (
    <li className="grid items-center gap-x-6 gap-y-0.5 border-line border-b py-2 sm:grid-cols-[14rem_minmax(0,1fr)_15rem_auto]">
      <p className="font-semibold">{t(`workKinds:${round.kind}.name`)}</p>
      <p>
        {names.length > 0 ? names.join(', ') : t('work:wholeGarden')}
        {round.note && <span className="block text-ink-soft text-sm">{round.note}</span>}
      </p>
      <p className="text-sm">
        {round.every === null ? t('day:care.once') : t('day:care.days', { n: round.every })}
        {' · '}
        {next ? t('day:care.next', { day: dates.short(next.on) }) : t('day:care.over')}
      </p>
      {onEdit && (
        <Button look="quiet" className="justify-self-start sm:justify-self-end" onClick={() => onEdit(round)}>
          {t('day:care.edit')}
          <span className="sr-only">
            : {t(`workKinds:${round.kind}.name`)}, {names.join(', ')}
          </span>
        </Button>
      )}
    </li>
  );
}

function RoundSheet({ round, onClose }: { round: Round | null; onClose(): void }) {
  const { t } = useTranslation(['day', 'workKinds']);
  const { garden } = useHere();
  const beds = useList('beds').data ?? [];
  const [id] = useState(() => round?.id ?? newId());
  const save = useWrite('saveRound', ({ data }) =>
    t('care.saved', { what: t(`workKinds:${data.kind}.name`) }),
  );
  const remove = useWrite('removeRound', () => t('care.removed'));
  const valuesOf = (row: Round) => ({
    ...row,
    every: row.every === null ? '' : String(row.every),
    until: row.until ?? '',
    span: String(row.span),
    minutes: row.minutes === null ? '' : String(row.minutes),
    bedIds: [...row.bedIds].sort(),
  });
  const form = useBodyForm({
    draft: `round ${round?.id ?? 'new'}`,
    schema: roundInput,
    defaults: round
      ? valuesOf(round)
      : {
          kind: 'weed' as Round['kind'],
          bedIds: [] as string[],
          first: garden.today,
          every: '7',
          until: '',
          span: '7',
          minutes: '',
          note: '',
        },
    version: round?.version,
    toValues: valuesOf,
    toBody: (values, read) => ({
      kind: values.kind,
      bedIds: values.bedIds,
      first: values.first,
      every: values.every.trim() === '' ? null : read.number('every', values.every),
      until: values.until || null,
      span: read.number('span', values.span),
      minutes: values.minutes.trim() === '' ? null : read.number('minutes', values.minutes),
      note: values.note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onClose();
    },
  });
  const chosen = form.watch('bedIds');
  const area = beds.filter((bed) => chosen.includes(bed.id)).reduce((sum, bed) => sum + groundArea(bed), 0);
  return (
    <FormSheet
      of={form}
      title={t(round ? `workKinds:${round.kind}.name` : 'care.add')}
      onClose={onClose}
      onRemove={
        round
          ? () => remove.mutate({ params: { id }, ifMatch: round.version }, { onSuccess: onClose })
          : undefined
      }
    >
      <Field name="kind" label={t('care.kindLabel')}>
        {(props) => (
          <Select
            {...props}
            {...form.control('kind')}
            disabled={round !== null}
            options={roundKinds.map((kind) => ({ value: kind, label: t(`workKinds:${kind}.name`) }))}
          />
        )}
      </Field>
      <fieldset>
        <legend className="font-semibold text-sm">{t('care.beds')}</legend>
        <p className="text-ink-soft text-sm">{t('care.bedsHint')}</p>
        <ScrollArea label={t('care.beds')} className="h-52">
          <ul className="grid grid-cols-2">
            {beds.map((bed) => (
              <li key={bed.id}>
                <Checkbox label={bed.name} {...form.checkIn('bedIds', bed.id)} />
              </li>
            ))}
          </ul>
        </ScrollArea>
      </fieldset>
      <div className="grid grid-cols-2 items-start gap-4">
        <Field label={t('care.first')} name="first">
          {(props) => <DateField {...props} {...form.control('first')} />}
        </Field>
        <Field label={t('care.span')} name="span">
          {(props) => <input {...props} {...form.register('span')} inputMode="numeric" className="input" />}
        </Field>
        <Field label={t('care.every')} hint={t('care.everyHint')} name="every">
          {(props) => <input {...props} {...form.register('every')} inputMode="numeric" className="input" />}
        </Field>
        <Field label={t('care.until')} hint={t('care.untilHint')} name="until">
          {(props) => <DateField {...props} {...form.control('until')} />}
        </Field>
      </div>
      <Field
        label={t('care.minutes')}
        hint={t('care.minutesHint', { minutes: roundMinutes(form.watch('kind'), area) })}
        name="minutes"
      >
        {(props) => <input {...props} {...form.register('minutes')} inputMode="numeric" className="input" />}
      </Field>
      <Field label={t('care.note')} name="note">
        {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
      </Field>
    </FormSheet>
  );
}
