import { calendarRoutes } from './calendar.ts';
import { rotaRoutes } from './rotaRoutes.ts';
import { sessionRoutes } from './sessions.ts';
import { taskRoutes } from './tasks.ts';
import { toolRoutes } from './tools.ts';

export const workRoutes = {
  ...taskRoutes,
  ...sessionRoutes,
  ...calendarRoutes,
  ...rotaRoutes,
  ...toolRoutes,
};
export { rotas } from './rotas.ts';
