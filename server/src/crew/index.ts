export { access, type DemoSignIns } from './access.ts';

import { myTimesRoutes } from './myTimes.ts';
import { peopleRoutes as lists } from './people.ts';

export const peopleRoutes = { ...lists, ...myTimesRoutes };
