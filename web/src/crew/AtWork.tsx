import type { Person } from '@unity-acre/contract/crew';
import { skills } from '@unity-acre/core/crew';
import { X } from 'lucide-react';
import type { UseFormReturn } from 'react-hook-form';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import type { PersonValues } from './PersonSheet.tsx';
import { Strains } from './Strains.tsx';

type Form = Pick<UseFormReturn<PersonValues>, 'register' | 'watch' | 'setValue'>;

/** What somebody has learnt, what is hard on them, and with whom they like to work. */
export function AtWork({ form, others }: { form: Form; others: Person[] }) {
  const { t } = useTranslation('people');
  const together = form.watch('together');
  const nameOf = (id: string) => others.find((one) => one.id === id)?.name ?? '';
  return (
    <>
      <fieldset>
        <legend className="font-semibold text-sm">{t('skills')}</legend>
        <div className="grid grid-cols-2">
          {skills.map((skill) => (
            <label key={skill} className="flex min-h-target items-center gap-2 text-sm">
              <input
                type="checkbox"
                value={skill}
                {...form.register('skills')}
                className="size-5 shrink-0 accent-blossom-deep"
              />
              {t(`skill.${skill}`)}
            </label>
          ))}
        </div>
        <label className="flex min-h-target items-center gap-2 text-sm">
          <input
            type="checkbox"
            {...form.register('beginner')}
            className="size-5 shrink-0 accent-blossom-deep"
          />
          {t('beginner')}
        </label>
      </fieldset>
      <Strains value={form.watch('strain')} onChange={(value) => form.setValue('strain', value)} />
      <div className="flex flex-col gap-1">
        <label className="flex flex-col gap-1 font-semibold text-sm">
          {t('together')}
          <select
            className="input font-normal"
            value=""
            onChange={(event) => form.setValue('together', [...together, event.target.value])}
          >
            <option value="">{t('togetherAdd')}</option>
            {others
              .filter(({ id, role }) => role !== 'receiver' && !together.includes(id))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </select>
        </label>
        {together.length > 0 && (
          <ul>
            {together.map((id) => (
              <li key={id} className="flex items-center justify-between border-line border-b text-sm">
                {nameOf(id)}
                <Button
                  look="quiet"
                  aria-label={t('takeOut', { name: nameOf(id) })}
                  onClick={() =>
                    form.setValue(
                      'together',
                      together.filter((one) => one !== id),
                    )
                  }
                >
                  <X aria-hidden size={16} />
                </Button>
              </li>
            ))}
          </ul>
        )}
      </div>
    </>
  );
}
