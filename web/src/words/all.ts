import messagesEn from '@unity-acre/contract/crew/messages.en.json' with { type: 'json' };
import messagesEs from '@unity-acre/contract/crew/messages.es.json' with { type: 'json' };
import fieldsEn from '@unity-acre/contract/wire/fields.en.json' with { type: 'json' };
import fieldsEs from '@unity-acre/contract/wire/fields.es.json' with { type: 'json' };
import accountEn from '../crew/me/account.en.json' with { type: 'json' };
import accountEs from '../crew/me/account.es.json' with { type: 'json' };
import peopleEn from '../crew/people/words.en.json' with { type: 'json' };
import peopleEs from '../crew/people/words.es.json' with { type: 'json' };
import plotsEn from '../crew/plots/words.en.json' with { type: 'json' };
import plotsEs from '../crew/plots/words.es.json' with { type: 'json' };
import seedBoxEn from '../crops/seedBox/words.en.json' with { type: 'json' };
import seedBoxEs from '../crops/seedBox/words.es.json' with { type: 'json' };
import cropsEn from '../crops/words.en.json' with { type: 'json' };
import cropsEs from '../crops/words.es.json' with { type: 'json' };
import layoutEn from '../ground/layout/words.en.json' with { type: 'json' };
import layoutEs from '../ground/layout/words.es.json' with { type: 'json' };
import mapEn from '../ground/map/words.en.json' with { type: 'json' };
import mapEs from '../ground/map/words.es.json' with { type: 'json' };
import groundEn from '../ground/words.en.json' with { type: 'json' };
import groundEs from '../ground/words.es.json' with { type: 'json' };
import helpEn from '../kit/help/words.en.json' with { type: 'json' };
import helpEs from '../kit/help/words.es.json' with { type: 'json' };
import changesEn from '../log/changes.en.json' with { type: 'json' };
import changesEs from '../log/changes.es.json' with { type: 'json' };
import climateEn from '../place/climate/words.en.json' with { type: 'json' };
import climateEs from '../place/climate/words.es.json' with { type: 'json' };
import practicesEn from '../place/rules/practices.en.json' with { type: 'json' };
import practicesEs from '../place/rules/practices.es.json' with { type: 'json' };
import reasonsEn from '../season/explain/reasons.en.json' with { type: 'json' };
import reasonsEs from '../season/explain/reasons.es.json' with { type: 'json' };
import findingsEn from '../season/judge/findings.en.json' with { type: 'json' };
import findingsEs from '../season/judge/findings.es.json' with { type: 'json' };
import planEn from '../season/propose/plan.en.json' with { type: 'json' };
import planEs from '../season/propose/plan.es.json' with { type: 'json' };
import seasonEn from '../season/words.en.json' with { type: 'json' };
import seasonEs from '../season/words.es.json' with { type: 'json' };
import materialsEn from '../work/cards/materials.en.json' with { type: 'json' };
import materialsEs from '../work/cards/materials.es.json' with { type: 'json' };
import practiceEn from '../work/cards/practice.en.json' with { type: 'json' };
import practiceEs from '../work/cards/practice.es.json' with { type: 'json' };
import cardsEn from '../work/cards/words.en.json' with { type: 'json' };
import cardsEs from '../work/cards/words.es.json' with { type: 'json' };
import dayEn from '../work/day/words.en.json' with { type: 'json' };
import dayEs from '../work/day/words.es.json' with { type: 'json' };
import rotaEn from '../work/rota/words.en.json' with { type: 'json' };
import rotaEs from '../work/rota/words.es.json' with { type: 'json' };
import homeEn from '../work/week/home/words.en.json' with { type: 'json' };
import homeEs from '../work/week/home/words.es.json' with { type: 'json' };
import weekEn from '../work/week/words.en.json' with { type: 'json' };
import weekEs from '../work/week/words.es.json' with { type: 'json' };
import { words as earlyEn } from './en.ts';
import { words as earlyEs } from './es.ts';

/** All words of all rooms, early and late: for types and tests. The application fetches the late ones by `lateWords`. */
export const allWords = {
  en: {
    ...earlyEn,
    account: accountEn,
    fields: fieldsEn,
    cards: cardsEn,
    materials: materialsEn,
    practice: practiceEn,
    practices: practicesEn,
    changes: changesEn,
    climate: climateEn,
    crops: cropsEn,
    day: dayEn,
    findings: findingsEn,
    ground: groundEn,
    layout: layoutEn,
    map: mapEn,
    help: helpEn,
    home: homeEn,
    messages: messagesEn,
    people: peopleEn,
    plan: planEn,
    plots: plotsEn,
    reasons: reasonsEn,
    rota: rotaEn,
    season: seasonEn,
    seedBox: seedBoxEn,
    week: weekEn,
  },
  es: {
    ...earlyEs,
    account: accountEs,
    fields: fieldsEs,
    cards: cardsEs,
    materials: materialsEs,
    practice: practiceEs,
    practices: practicesEs,
    changes: changesEs,
    climate: climateEs,
    crops: cropsEs,
    day: dayEs,
    findings: findingsEs,
    ground: groundEs,
    layout: layoutEs,
    map: mapEs,
    help: helpEs,
    home: homeEs,
    messages: messagesEs,
    people: peopleEs,
    plan: planEs,
    plots: plotsEs,
    reasons: reasonsEs,
    rota: rotaEs,
    season: seasonEs,
    seedBox: seedBoxEs,
    week: weekEs,
  },
};
