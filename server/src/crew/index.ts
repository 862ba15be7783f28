export { access, type DemoSignIns } from './access.ts';

import { agreementRoutes } from './agreements.ts';
import { myTimesRoutes } from './myTimes.ts';
import { peopleRoutes as lists } from './people.ts';
import { peopleFileRoutes } from './peopleFile.ts';
import { plotCareRoutes } from './plotCare.ts';
import { plotRoutes } from './plots.ts';

export const peopleRoutes = {
  ...lists,
  ...myTimesRoutes,
  ...plotRoutes,
  ...peopleFileRoutes,
  ...plotCareRoutes,
  ...agreementRoutes,
};
export { crewRulesOf } from './agreements.ts';
export { Letters, timeOf } from './letters.ts';
export { checkCrew, seenBy } from './people.ts';
