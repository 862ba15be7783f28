import { calendarRoutes } from './calendar.ts';
import { sessionRoutes } from './sessions.ts';
import { taskRoutes } from './tasks.ts';

export const workRoutes = { ...taskRoutes, ...sessionRoutes, ...calendarRoutes };
