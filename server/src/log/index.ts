import { changeRoutes } from './changes.ts';
import { entryRoutes } from './entries.ts';

export const logRoutes = { ...entryRoutes, ...changeRoutes };
