import { type RulesInput, rulesInput } from '@unity-acre/contract/place';
import { daysBetween } from '@unity-acre/core/calendar';
import { practicesOf } from '@unity-acre/core/crops';
import { ruleSchools } from '@unity-acre/core/season';
import { ArrowRight } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useCatalogue } from '../../crops/catalogue.ts';
import { useCropNames } from '../../crops/names.ts';
import { useAlmanac, useCoordinates, useHere, useMeasure, useWrite } from '../../garden/index.ts';
import { Button, RadioGroup } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { useShownField } from '../../kit/formContext.ts';
import { Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Screen } from '../../kit/screens/index.ts';
import { GardenPaths } from '../GardenPaths.tsx';
import { PracticeFields } from './PracticeFields.tsx';
import { type Effect, effectsOf, effectUnder, type RuleName } from './ruleEffects.ts';

const choices: { [Name in RuleName]: readonly RulesInput[Name][] } = ruleSchools;
const names = Object.keys(choices) as RuleName[];

/** How the garden does things where growers disagree; each rule shows what it does before it is saved. */
export default function RulesPage() {
  const { t } = useTranslation(['place', 'climate', 'kit', 'practices']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const save = useWrite('saveRules', () => t('climate:rules.saved'));
  const form = useBodyForm<RulesInput, RulesInput>({
    schema: rulesInput,
    draft: 'house rules',
    defaults: garden.rules,
    version: garden.version,
    toValues: ({ rules }: { rules: RulesInput }) => rules,
    toBody: (values) => values,
    send: (body, ifMatch) => save.mutateAsync({ body, ifMatch }),
  });
  const rules = form.watch();
  const isSameWay =
    JSON.stringify(practicesOf(rules.practices)) === JSON.stringify(practicesOf(garden.rules.practices));
  const changed = [
    ...names
      .filter((name) => rules[name] !== garden.rules[name])
      .map((name) => t(`climate:rule.${name}.name`)),
    ...(isSameWay ? [] : [t('practices:title')]),
  ];
  return (
    <Screen title={t('place:page.rules')} className="flex flex-col gap-7">
      <GardenPaths />
      <p className="max-w-prose text-ink-soft">{t('climate:rules.lead')}</p>
      <Form of={form} className="flex flex-col gap-7">
        {names.map((name) => (
          <Rule
            key={name}
            name={name}
            rules={rules}
            onChoose={(value) => form.put({ [name]: value })}
            readOnly={!coordinates}
          />
        ))}
        <PracticeFields
          rules={rules}
          onChoose={(practices) => form.put({ practices })}
          readOnly={!coordinates}
        />
        <FormFaults />
        {coordinates && (
          <div className="sticky bottom-16 flex flex-wrap items-center gap-3 border-line-strong border-t bg-frost py-3 sm:bottom-0">
            <Button type="submit" look="act" disabled={changed.length === 0 || form.busy}>
              {t('kit:save')}
            </Button>
            {changed.length > 0 && <Button onClick={form.startOver}>{t('kit:cancel')}</Button>}
            <span className="text-ink-soft">
              {changed.length > 0
                ? t('climate:rules.changed', {
                    rules: changed.join(', '),
                  })
                : t('climate:rules.unchanged')}
            </span>
          </div>
        )}
      </Form>
    </Screen>
  );
}

function Rule({
  name,
  rules,
  onChoose,
  readOnly,
}: {
  name: RuleName;
  rules: RulesInput;
  onChoose(value: RulesInput[RuleName]): void;
  readOnly: boolean;
}) {
  const { t } = useTranslation(['place', 'climate']);
  useShownField(name, t(`climate:rule.${name}.name`));
  return (
    <section className="furrow grid gap-x-10 gap-y-3 xl:grid-cols-[minmax(0,23rem)_minmax(0,1fr)]">
      <fieldset>
        <legend className="font-semibold font-title text-xl">{t(`climate:rule.${name}.name`)}</legend>
        <p className="mb-2 text-ink-soft text-sm">{t(`climate:rule.${name}.does`)}</p>
        <RadioGroup
          aria-label={t(`climate:rule.${name}.name`)}
          value={String(rules[name])}
          onChange={(chosen) => onChoose(choices[name].find((value) => String(value) === chosen)!)}
          disabled={readOnly}
          options={choices[name].map((value) => ({
            value: String(value),
            label: t(
              `climate:rule.${name}.choice.${String(value).replace('.', '_')}` as 'climate:rule.depth.choice.packet',
            ),
          }))}
        />
      </fieldset>
      <div>
        <h3 className="mb-1">{t('climate:rules.effect')}</h3>
        <ul>
          {effectsOf[name].map((effect) => (
            <EffectRow key={JSON.stringify(effect)} effect={effect} name={name} rules={rules} />
          ))}
        </ul>
      </div>
    </section>
  );
}

/** What the rule does to one crop: as it is now, and as it would be. */
function EffectRow({ effect, name, rules }: { effect: Effect; name: RuleName; rules: RulesInput }) {
  const { t } = useTranslation(['place', 'climate', 'season']);
  const { garden } = useHere();
  const dates = useDates();
  const { depth } = useMeasure();
  const cropNames = useCropNames();
  const catalogue = useCatalogue();
  const almanac = useAlmanac();
  const year = garden.seasonYear;
  const now = effectUnder(effect, name, garden.rules, almanac, catalogue, year);
  // Only this rule differs, so that what is shown is what it does.
  const then = effectUnder(effect, name, { ...garden.rules, [name]: rules[name] }, almanac, catalogue, year);
  const shown = (value: typeof now): string => {
    if (!value) return t('climate:rules.notDone');
    if ('day' in value) return dates.short(value.day);
    if ('metres' in value) return depth(value.metres);
    return t('climate:rules.neighbours', { count: value.count });
  };
  const moved = now && then && 'day' in now && 'day' in then ? daysBetween(now.day, then.day) : 0;
  const isSame = shown(now) === shown(then);
  return (
    <li className="grid grid-cols-[8rem_1fr] gap-x-3 border-line border-b py-1.5 sm:grid-cols-[7rem_7rem_1fr]">
      <span className="font-semibold">{cropNames.crop(effect.cropId)}</span>
      <span className="text-ink-soft">
        {'shows' in effect ? t(`climate:rules.shows.${effect.shows}`) : t(`season:step.${effect.step}`)}
      </span>
      <span className="flex flex-wrap items-center gap-x-2">
        {isSame ? (
          shown(now)
        ) : (
          <>
            <s className="text-ink-soft">{shown(now)}</s>
            <ArrowRight aria-hidden size={14} />
            <strong>{shown(then)}</strong>
            {moved !== 0 && (
              <span className={moved > 0 ? 'text-beet' : 'text-leaf'}>
                {t(moved > 0 ? 'season:later' : 'season:earlier', { count: Math.abs(moved) })}
              </span>
            )}
          </>
        )}
      </span>
    </li>
  );
}
