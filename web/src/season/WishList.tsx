import { tenureKinds } from '@unity-acre/contract/ground';
import { type Wish, wishInput, wishMeasures } from '@unity-acre/contract/season';
import { toGrams } from '@unity-acre/core/units';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { useCatalogue } from '../crops/catalogue.ts';
import { useCropNames } from '../crops/names.ts';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';
import { SheetActions } from '../kit/SheetActions.tsx';
import { Bare } from '../kit/states.tsx';

const SQUARE_FOOT = 0.3048 ** 2;

/** What the garden wishes to grow in a season, before it has a place. */
export function WishList({ wishes, year }: { wishes: Wish[]; year: number }) {
  const { t } = useTranslation('plan');
  const names = useCropNames();
  const dates = useDates();
  const { number, area, weight } = useMeasure();
  const [open, setOpen] = useState<Wish | 'new' | null>(null);
  const amount = ({ by, amount: much, from, until }: Wish): string => {
    if (by === 'plants') return t('wish.plants', { n: number(much, 0) });
    if (by === 'area') return area(much);
    const span =
      from && until ? ` ${t('wish.span', { from: dates.bare(from), until: dates.bare(until) })}` : '';
    return `${t('wish.weekly', { weight: weight(much) })}${span}`;
  };
  return (
    <section className="furrow min-w-0">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>{t('wish.title')}</h2>
        <Button onClick={() => setOpen('new')}>
          <Plus aria-hidden size={17} />
          {t('wish.add')}
        </Button>
      </div>
      {wishes.length === 0 && <Bare title={t('wish.none')}>{t('wish.noneHint')}</Bare>}
      <ul>
        {wishes.map((wish) => (
          <li key={wish.id} className="flex flex-wrap items-center gap-x-3 border-line border-b py-1.5">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">
                {names.crop(wish.cropId)}, {names.variety(wish.cropId, wish.varietyId)}
              </span>
              <span className="block text-ink-soft text-sm">
                {amount(wish)}
                {wish.tenure && ` · ${t(`wish.for.${wish.tenure}`)}`}
                {wish.note && ` · ${wish.note}`}
              </span>
            </span>
            <span className="text-sm" title={t('wish.weight')}>
              {t(`wish.matters.${wish.weight as 1 | 2 | 3 | 4 | 5}`)}
            </span>
            <Button look="quiet" onClick={() => setOpen(wish)}>
              {t('wish.change')}
            </Button>
          </li>
        ))}
      </ul>
      {open && (
        <Sheet open title={t(open === 'new' ? 'wish.add' : 'wish.change')} onClose={() => setOpen(null)}>
          <WishForm wish={open === 'new' ? null : open} year={year} onDone={() => setOpen(null)} />
        </Sheet>
      )}
    </section>
  );
}

function WishForm({ wish, year, onDone }: { wish: Wish | null; year: number; onDone(): void }) {
  const { t } = useTranslation(['plan', 'kit']);
  const catalogue = useCatalogue();
  const names = useCropNames();
  const { system, number } = useMeasure();
  const [id] = useState(() => wish?.id ?? newId());
  const save = useWrite('saveWish', ({ data }) => t('plan:wish.saved', { crop: names.crop(data.cropId) }));
  const remove = useWrite('removeWish', () => t('plan:wish.removed'));
  const isImperial = system === 'imperial';
  /** what one of the unit shown is in the unit kept */
  const unit = {
    plants: 1,
    area: isImperial ? SQUARE_FOOT : 1,
    weekly: isImperial ? toGrams(1, 'lb') : 1000,
  };
  const unitWords = {
    plants: 'plants',
    area: isImperial ? 'sqft' : 'sqm',
    weekly: isImperial ? 'lb' : 'kg',
  } as const;
  const first = names.sorted(catalogue.crops)[0]!;
  const valuesOf = (row: Wish) => ({
    cropId: row.cropId,
    varietyId: row.varietyId,
    by: row.by,
    amount: number(row.amount / unit[row.by], 2).replace(/[\s,](?=\d{3})/g, ''),
    from: row.from ?? '',
    until: row.until ?? '',
    tenure: row.tenure ?? '',
    weight: String(row.weight),
    note: row.note,
  });
  const form = useBodyForm<ReturnType<typeof valuesOf>, ReturnType<typeof wishInput.parse>>({
    schema: wishInput,
    defaults: wish
      ? valuesOf(wish)
      : {
          cropId: first.id,
          varietyId: first.varieties[0]!.id,
          by: 'plants',
          amount: '20',
          from: '',
          until: '',
          tenure: '',
          weight: '3',
          note: '',
        },
    version: wish?.version,
    toBody: (values, read) => ({
      year,
      cropId: values.cropId,
      varietyId: catalogue.crop(values.cropId)?.varieties.some((one) => one.id === values.varietyId)
        ? values.varietyId
        : (catalogue.crop(values.cropId)?.varieties[0]?.id ?? ''),
      by: values.by,
      amount: read.number('amount', values.amount) * unit[values.by],
      from: values.by === 'weekly' ? values.from || null : null,
      until: values.by === 'weekly' ? values.until || null : null,
      tenure: values.tenure || null,
      weight: Number(values.weight),
      note: values.note,
    }),
    send: async (body, ifMatch) => {
      await save.mutateAsync({ params: { id }, body, ifMatch });
      onDone();
    },
  });
  const { errors } = form.formState;
  const { cropId, by } = form.watch();
  const crop = catalogue.crop(cropId) ?? first;
  return (
    <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
      <Field label={t('plan:wish.crop')} error={errors.cropId?.message}>
        {(props) => (
          <select {...props} {...form.register('cropId')} className="input">
            {names.sorted(catalogue.crops).map((one) => (
              <option key={one.id} value={one.id}>
                {names.crop(one.id)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label={t('plan:wish.variety')} error={errors.varietyId?.message}>
        {(props) => (
          <select {...props} {...form.register('varietyId')} className="input">
            {crop.varieties.map((one) => (
              <option key={one.id} value={one.id}>
                {names.variety(crop.id, one.id)}
              </option>
            ))}
          </select>
        )}
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('plan:wish.by')} error={errors.by?.message}>
          {(props) => (
            <select {...props} {...form.register('by')} className="input">
              {wishMeasures
                .filter((one) => one !== 'weekly' || crop.yieldKg)
                .map((one) => (
                  <option key={one} value={one}>
                    {t(`plan:wish.measure.${one}`)}
                  </option>
                ))}
            </select>
          )}
        </Field>
        <Field label={t(`plan:wish.amount.${unitWords[by]}`)} error={errors.amount?.message}>
          {(props) => <input {...props} {...form.register('amount')} inputMode="decimal" className="input" />}
        </Field>
        {by === 'weekly' && (
          <>
            <Field label={t('plan:wish.from')} error={errors.from?.message}>
              {(props) => <input {...props} {...form.register('from')} type="date" className="input" />}
            </Field>
            <Field label={t('plan:wish.until')} error={errors.until?.message}>
              {(props) => <input {...props} {...form.register('until')} type="date" className="input" />}
            </Field>
          </>
        )}
        <Field label={t('plan:wish.forWhom')} error={errors.tenure?.message}>
          {(props) => (
            <select {...props} {...form.register('tenure')} className="input">
              <option value="">{t('plan:wish.forAll')}</option>
              {tenureKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`plan:wish.for.${kind}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={t('plan:wish.weight')} error={errors.weight?.message}>
          {(props) => (
            <select {...props} {...form.register('weight')} className="input">
              {([5, 4, 3, 2, 1] as const).map((n) => (
                <option key={n} value={n}>
                  {t(`plan:wish.matters.${n}`)}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      <Field label={t('plan:wish.note')} hint={t('kit:optional')} error={errors.note?.message}>
        {(props) => <input {...props} {...form.register('note')} className="input" autoComplete="off" />}
      </Field>
      <RefusedNote refused={form.refused ?? remove.error} clash={form.clash} />
      <SheetActions
        busy={form.busy}
        onCancel={onDone}
        onRemove={
          wish
            ? () => remove.mutate({ params: { id }, ifMatch: wish.version }, { onSuccess: onDone })
            : undefined
        }
      />
    </form>
  );
}
