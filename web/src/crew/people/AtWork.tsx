import type { Person } from '@unity-acre/contract/crew';
import { skills } from '@unity-acre/core/crew';
import { X } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { PersonSelect } from '../../garden/index.ts';
import { Button, Checkbox } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';
import type { PersonForm } from './PersonSheet.tsx';
import { Strains } from './Strains.tsx';

/** What somebody has learnt, what is hard on them, and with whom they like to work. */
export function AtWork({ form, others }: { form: PersonForm; others: Person[] }) {
  const { t } = useTranslation('people');
  const together = form.watch('together');
  const nameOf = (id: string) => others.find((one) => one.id === id)?.name ?? '';
  return (
    <>
      <fieldset>
        <legend className="font-semibold text-sm">{t('skills')}</legend>
        <div className="grid grid-cols-2">
          {skills.map((skill) => (
            <Checkbox key={skill} label={t(`skill.${skill}`)} {...form.checkIn('skills', skill)} />
          ))}
        </div>
        <Checkbox label={t('beginner')} {...form.check('beginner')} />
      </fieldset>
      <Strains value={form.watch('strain')} onChange={(strain) => form.put({ strain })} />
      <div className="flex flex-col gap-1">
        <Field label={t('together')} name="together">
          {(props) => (
            <PersonSelect
              {...props}
              value=""
              onChange={(id) => id && form.put({ together: [...together, id] })}
              none={t('togetherAdd')}
              people={others.filter(({ id, role }) => role !== 'receiver' && !together.includes(id))}
            />
          )}
        </Field>
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
