export { access } from './access/access.ts';
export { accountRoutes } from './access/account.ts';
export type { DemoSignIns } from './access/me.ts';
export { newPasswordLink, passwordLinkAddress, passwordLinkRoutes } from './access/passwordLinks.ts';

import { agreementRoutes } from './agreements.ts';
import { myTimesRoutes } from './myTimes.ts';
import { leavingRoutes } from './people/leaving.ts';
import { peopleRoutes as lists } from './people/people.ts';
import { peopleFileRoutes } from './people/peopleFile.ts';
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
export { forgetRemoved } from './people/forgetting.ts';
export { checkCrew, newInvitation } from './people/people.ts';
export { ERASED } from './people/scrubbing.ts';
