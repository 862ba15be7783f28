export { access } from './access.ts';
export { accountRoutes } from './account.ts';
export type { DemoSignIns } from './me.ts';
export { newPasswordLink, passwordLinkAddress, passwordLinkRoutes } from './passwordLinks.ts';

import { agreementRoutes } from './agreements.ts';
import { leavingRoutes } from './leaving.ts';
import { myTimesRoutes } from './myTimes.ts';
import { peopleRoutes as lists } from './people.ts';
import { peopleFileRoutes } from './peopleFile.ts';
import { plotCareRoutes } from './plotCare.ts';
import { plotRoutes } from './plots.ts';

export const peopleRoutes = {
  ...lists,
  ...leavingRoutes,
  ...myTimesRoutes,
  ...plotRoutes,
  ...peopleFileRoutes,
  ...plotCareRoutes,
  ...agreementRoutes,
};
export { crewRulesOf } from './agreements.ts';
export { Letters, timeOf } from './letters.ts';
export { Names } from './names.ts';
export { checkCrew, newInvitation } from './people.ts';
