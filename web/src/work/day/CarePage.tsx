import { type Round, roundInput } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { groundArea } from '@unity-acre/core/ground';
import { roundKinds, roundMinutes, turnsOf } from '@unity-acre/core/work';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { Button } from '../../kit/Button.tsx';
import { useDates } from '../../kit/dates.ts';
import { Field, useBodyForm } from '../../kit/form.tsx';
import { useCoordinates, useHere, useList, useWrite } from '../../kit/garden.ts';
import { RefusedNote } from '../../kit/RefusedNote.tsx';
import { Sheet } from '../../kit/Sheet.tsx';
import { SheetActions } from '../../kit/SheetActions.tsx';
import { Bare, Loaded } from '../../kit/states.tsx';
import { SessionPaths } from '../SessionPaths.tsx';

/** How far ahead the next turn is looked for, days. */
const AHEAD = 400;

/** Rounds of care: soil, water, scouting, protection, upkeep. */
export default function CarePage() {
  const { t } = useTranslation('day');
  const rounds = useList('rounds');
  const coordinates = useCoordinates();
  const [edited, setEdited] = useState<Round | 'new' | null>(null);
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>{t('care.title')}</h1>
        {coordinates && (
          <Button look="act" onClick={() => setEdited('new')}>
            <Plus aria-hidden size={18} />
            {t('care.add')}
          </Button>
        )}
      </div>
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
    </div>
  );
}

function RoundRow({ round, onEdit }: { round: Round; onEdit: ((round: Round) => void) | undefined }) {
  const { t } = useTranslation(['day', 'work', 'workKinds']);
  const { garden } = useHere();
  const dates = useDates();
  const beds = useList('beds').data ?? [];
  const names = round.bedIds.flatMap((id) => beds.find((bed) => bed.id === id)?.name ?? []);
  const [next] = turnsOf(round, addDays(garden.today, 1 - round.span), addDays(garden.today, AHEAD));
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
  const { errors } = form.formState;
  const chosen = form.watch('bedIds');
  const area = beds.filter((bed) => chosen.includes(bed.id)).reduce((sum, bed) => sum + groundArea(bed), 0);
  return (
    <Sheet open title={t(round ? `workKinds:${round.kind}.name` : 'care.add')} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <Field label={t('care.kindLabel')}>
          {(props) => (
            <select {...props} {...form.register('kind')} className="input" disabled={round !== null}>
              {roundKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`workKinds:${kind}.name`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <fieldset>
          <legend className="font-semibold text-sm">{t('care.beds')}</legend>
          <p className="text-ink-soft text-sm">{t('care.bedsHint')}</p>
          <ul className="grid max-h-52 grid-cols-2 overflow-y-auto">
            {beds.map((bed) => (
              <li key={bed.id}>
                <label className="flex min-h-target items-center gap-2">
                  <input
                    type="checkbox"
                    value={bed.id}
                    {...form.register('bedIds')}
                    className="size-5 shrink-0 accent-blossom-deep"
                  />
                  {bed.name}
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label={t('care.first')} error={errors.first?.message}>
            {(props) => <input {...props} {...form.register('first')} type="date" className="input" />}
          </Field>
          <Field label={t('care.span')} error={errors.span?.message}>
            {(props) => <input {...props} {...form.register('span')} inputMode="numeric" className="input" />}
          </Field>
          <Field label={t('care.every')} hint={t('care.everyHint')} error={errors.every?.message}>
            {(props) => (
              <input {...props} {...form.register('every')} inputMode="numeric" className="input" />
            )}
          </Field>
          <Field label={t('care.until')} hint={t('care.untilHint')} error={errors.until?.message}>
            {(props) => <input {...props} {...form.register('until')} type="date" className="input" />}
          </Field>
        </div>
        <Field
          label={t('care.minutes')}
          hint={t('care.minutesHint', { minutes: roundMinutes(form.watch('kind'), area) })}
          error={errors.minutes?.message}
        >
          {(props) => (
            <input {...props} {...form.register('minutes')} inputMode="numeric" className="input" />
          )}
        </Field>
        <Field label={t('care.note')} error={errors.note?.message}>
          {(props) => <textarea {...props} {...form.register('note')} rows={2} className="input" />}
        </Field>
        <RefusedNote refused={form.refused} clash={form.clash} />
        <SheetActions
          busy={form.busy}
          onCancel={onClose}
          onRemove={
            round
              ? () => remove.mutate({ params: { id }, ifMatch: round.version }, { onSuccess: onClose })
              : undefined
          }
        />
      </form>
    </Sheet>
  );
}
