import type { CrewRules, MyPlot } from '@unity-acre/contract/crew';
import { seasonYearOf } from '@unity-acre/core/place';
import { type EntityManager, MoreThanOrEqual } from 'typeorm';
import { v7 as newId } from 'uuid';
import { beds, tenures } from '../ground/entity.ts';
import type { Handlers } from '../http/handle.ts';
import { byName } from '../http/order.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { todayIn } from '../place/index.ts';
import { type AgreementEntity, agreements, type CrewRulesEntity, crewRules } from './entity.ts';

/** Most children for each grown person, where the school has not set another ratio. Common practice, no source. */
const CHILD_RATIO = 6;

/** What a garden asks of its crew; the usual until somebody says otherwise. */
export async function crewRulesOf(manager: EntityManager, gardenId: string): Promise<CrewRules> {
  const row = await manager.findOneBy(crewRules, { id: gardenId });
  if (!row)
    return { childRatio: CHILD_RATIO, agreement: '', remindDays: null, pastNames: 'full', version: null };
  const { childRatio, agreement, remindDays, pastNames, version } = row;
  return { childRatio, agreement, remindDays, pastNames, version };
}

type AgreementRoutes = Pick<Handlers, 'crewRules' | 'saveCrewRules' | 'myPlots' | 'acceptAgreement'>;

export const agreementRoutes: AgreementRoutes = {
  crewRules: ({ store, params: { gardenId } }) => crewRulesOf(store.manager, gardenId),

  saveCrewRules: ({ params: { gardenId }, body, ifMatch, change }) =>
    change('crewRules.saved', '', async (writing) => {
      await writing.put<CrewRulesEntity>(crewRules, gardenId, body, ifMatch);
      return crewRulesOf(writing.manager, gardenId);
    }),

  myPlots: async ({ store, member: { garden, person } }) => {
    const { manager } = store;
    const year = seasonYearOf(garden.latitude, todayIn(garden, store.clock));
    const held = await manager.findBy(tenures, {
      gardenId: garden.id,
      personId: person.id,
      kind: 'plot',
      year: MoreThanOrEqual(year),
    });
    const accepted = await manager.findBy(agreements, { gardenId: garden.id, personId: person.id });
    const names = new Map(
      (await manager.findBy(beds, { gardenId: garden.id })).map(({ id, name }) => [id, name]),
    );
    return held
      .map(
        (tenure): MyPlot => ({
          bedId: tenure.bedId,
          bed: names.get(tenure.bedId) ?? '',
          year: tenure.year,
          acceptedOn:
            accepted.find((one) => one.bedId === tenure.bedId && one.year === tenure.year)?.on ?? null,
        }),
      )
      .sort((a, b) => a.year - b.year || byName(a.bed, b.bed));
  },

  acceptAgreement: async ({ store, member: { garden, person }, params: { bedId, year }, change }) => {
    const { manager } = store;
    const bed = await manager.findOneBy(beds, { id: bedId, gardenId: garden.id });
    const tenure = await manager.findOneBy(tenures, { bedId, year, kind: 'plot' });
    if (!bed || !tenure?.personId) throw new Refusal('notFound');
    // On paper, a coordinator says it for the holder.
    if (tenure.personId !== person.id && person.role !== 'coordinator') throw new Refusal('notAllowed');
    const { agreement } = await crewRulesOf(manager, garden.id);
    if (agreement === '') throw invalid('agreement', 'noAgreement');
    const { personId } = tenure;
    return change('agreement.accepted', bed.name, async (writing) => {
      const known = await writing.manager.findOneBy(agreements, { bedId, year, personId });
      const on = known?.on ?? todayIn(garden, store.clock);
      if (!known) {
        await writing.put<AgreementEntity>(
          agreements,
          newId(),
          { bedId, year, personId, on, text: agreement },
          undefined,
        );
      }
      return { bedId, bed: bed.name, year, acceptedOn: on };
    });
  },
};
