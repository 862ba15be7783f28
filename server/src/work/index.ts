import { frostRoutes } from './care/frost.ts';
import { roundRoutes } from './care/rounds.ts';
import { toolRoutes } from './care/tools.ts';
import { hoursRoutes } from './hours/hours.ts';
import { askingRoutes } from './messages/asking.ts';
import { messageRoutes } from './messages/messages.ts';
import { putOffRoutes } from './messages/putOffs.ts';
import { rotaRoutes } from './rota/rotaRoutes.ts';
import { calendarRoutes } from './sessions/calendar.ts';
import { sessionRoutes } from './sessions/sessions.ts';
import { signUpRoutes } from './sessions/signUps.ts';
import { workDoneRoutes } from './sessions/workDone.ts';
import { cardRoutes } from './tasks/cards.ts';
import { taskRoutes } from './tasks/tasks.ts';

export const workRoutes = {
  ...taskRoutes,
  ...cardRoutes,
  ...roundRoutes,
  ...sessionRoutes,
  ...signUpRoutes,
  ...workDoneRoutes,
  ...frostRoutes,
  ...hoursRoutes,
  ...messageRoutes,
  ...askingRoutes,
  ...putOffRoutes,
  ...calendarRoutes,
  ...rotaRoutes,
  ...toolRoutes,
};
export { remindByTheClock } from './messages/reminders.ts';
export { rotas } from './rota/rotas.ts';
export { mayLead } from './sessions/signUps.ts';
export { moveUpAfter } from './sessions/waiting.ts';
