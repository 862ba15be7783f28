import { tenureKinds } from '@unity-acre/contract/ground';
import { type Wish, wishInput, wishMeasures } from '@unity-acre/contract/season';
import { toGrams } from '@unity-acre/core/units';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { v7 as newId } from 'uuid';
import { CropVarietySelect } from '../../crops/CropVarietySelect.tsx';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useMeasure, useWrite } from '../../garden/index.ts';
import { Button, DateField, Select } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, useBodyForm } from '../../kit/forms/index.ts';
import { Bare, FootedForm, Sheet } from '../../kit/screens/index.ts';

const SQUARE_FOOT = 0.3048 ** 2;

/** What the garden wishes to grow in a season, before it has a place. */
export function WishList({ wishes, year }: { wishes: Wish[]; year: number }) {
  const { t } = useTranslation('plan');
  const names = useCropNames();
  const dates = useDates();
  const { area, weight } = useMeasure();
  const [open, setOpen] = useState<Wish | 'new' | null>(null);
  const amount = ({ by, amount: much, from, until }: Wish): string => {
    if (by === 'plants') return t('wish.plants', { count: much });
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
    draft: `wish ${wish?.id ?? 'new'}`,
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
  const { cropId, by } = form.watch();
  const crop = catalogue.crop(cropId) ?? first;
  return (
    <FootedForm
      of={form}
      onClose={onDone}
      onRemove={
        wish
          ? () => remove.mutate({ params: { id }, ifMatch: wish.version }, { onSuccess: onDone })
          : undefined
      }
    >
      <CropVarietySelect
        cropId={form.watch('cropId')}
        varietyId={form.watch('varietyId')}
        onChange={form.put}
        labels={{ crop: t('plan:wish.crop'), variety: t('plan:wish.variety') }}
      />
      <div className="grid grid-cols-2 gap-4">
        <Field label={t('plan:wish.by')} name="by">
          {(props) => (
            <Select
              {...props}
              {...form.control('by')}
              options={wishMeasures
                .filter((one) => one !== 'weekly' || crop.yieldKg)
                .map((one) => ({ value: one, label: t(`plan:wish.measure.${one}`) }))}
            />
          )}
        </Field>
        <Field label={t(`plan:wish.amount.${unitWords[by]}`)} name="amount">
          {(props) => <input {...props} {...form.register('amount')} inputMode="decimal" className="input" />}
        </Field>
        {by === 'weekly' && (
          <>
            <Field label={t('plan:wish.from')} name="from">
              {(props) => <DateField {...props} {...form.control('from')} />}
            </Field>
            <Field label={t('plan:wish.until')} name="until">
              {(props) => <DateField {...props} {...form.control('until')} />}
            </Field>
          </>
        )}
        <Field label={t('plan:wish.forWhom')} name="tenure">
          {(props) => (
            <Select
              {...props}
              {...form.control('tenure')}
              options={[
                { value: '', label: t('plan:wish.forAll') },
                ...tenureKinds.map((kind) => ({ value: kind, label: t(`plan:wish.for.${kind}`) })),
              ]}
            />
          )}
        </Field>
        <Field label={t('plan:wish.weight')} name="weight">
          {(props) => (
            <Select
              {...props}
              {...form.control('weight')}
              options={([5, 4, 3, 2, 1] as const).map((n) => ({
                value: String(n),
                label: t(`plan:wish.matters.${n}`),
              }))}
            />
          )}
        </Field>
      </div>
      <Field label={t('plan:wish.note')} hint={t('kit:optional')} name="note">
        {(props) => <input {...props} {...form.register('note')} className="input" autoComplete="off" />}
      </Field>
    </FootedForm>
  );
}
