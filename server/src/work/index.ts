import { calendarRoutes } from './calendar.ts';
import { frostRoutes } from './frost.ts';
import { hoursRoutes } from './hours.ts';
import { messageRoutes } from './messages.ts';
import { rotaRoutes } from './rotaRoutes.ts';
import { roundRoutes } from './rounds.ts';
import { sessionRoutes } from './sessions.ts';
import { signUpRoutes } from './signUps.ts';
import { taskRoutes } from './tasks.ts';
import { toolRoutes } from './tools.ts';
import { workDoneRoutes } from './workDone.ts';

export const workRoutes = {
  ...taskRoutes,
  ...roundRoutes,
  ...sessionRoutes,
  ...signUpRoutes,
  ...workDoneRoutes,
  ...frostRoutes,
  ...hoursRoutes,
  ...messageRoutes,
  ...calendarRoutes,
  ...rotaRoutes,
  ...toolRoutes,
};
export { remindByTheClock } from './reminders.ts';
export { rotas } from './rotas.ts';
export { mayLead } from './signUps.ts';
export { moveUpAfter } from './waiting.ts';
