import { skills } from '@unity-acre/core/crew';
import type { Needs } from '@unity-acre/core/work';
import { useTranslation } from 'react-i18next';
import { Select } from '../../kit/controls/index.ts';
import { Field } from '../../kit/forms/index.ts';
import type { RoundForm } from './RoundSheet.tsx';

/**
 * What a round asks of people, where that is not what its kind asks.
 * @param usual what its kind asks
 * @param minutes what it takes one person, by the ground
 */
export function AskedFields({ form, usual, minutes }: { form: RoundForm; usual: Needs; minutes: number }) {
  const { t } = useTranslation(['day', 'people']);
  const numbers = [
    ['minutes', 'day:care.minutes', t('day:care.minutesHint', { minutes })],
    ['fewest', 'day:care.fewest', t('day:care.asKind', { n: usual.fewest })],
    ['most', 'day:care.most', t('day:care.asKind', { n: usual.most })],
  ] as const;
  return (
    <>
      <div className="grid grid-cols-3 items-start gap-4">
        {numbers.map(([name, label, hint]) => (
          <Field key={name} name={name} label={t(label)} hint={hint}>
            {(props) => <input {...props} {...form.register(name)} inputMode="numeric" className="input" />}
          </Field>
        ))}
      </div>
      <Field name="skill" label={t('day:care.skill')}>
        {(props) => (
          <Select
            {...props}
            {...form.control('skill')}
            options={[
              { value: '', label: t('day:care.anySkill') },
              ...skills.map((skill) => ({ value: skill, label: t(`people:skill.${skill}`) })),
            ]}
          />
        )}
      </Field>
      <Field name="tools" label={t('day:care.tools')} hint={t('day:care.toolsHint')}>
        {(props) => <textarea {...props} {...form.register('tools')} rows={2} className="input" />}
      </Field>
    </>
  );
}
