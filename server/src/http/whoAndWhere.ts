import { type AnswerOf, routes } from '@unity-acre/contract';
import type { answersWithin } from './handle.ts';
import type { BringsAlong } from './pages.ts';

/** Brings along with a page who is looking and their garden: nothing can be drawn without either. */
export const whoAndWhere =
  (answer: ReturnType<typeof answersWithin>): BringsAlong =>
  async (request, response) => {
    const me = (await answer('me', {}, request, response)) as AnswerOf<'me'>;
    const brought: Record<string, unknown> = { [routes.me.path]: me };
    // Which of several gardens somebody chose last is kept in the browser.
    const [here, another] = me.memberships;
    if (!here || another) return brought;
    const params = { gardenId: here.gardenId };
    const address = routes.garden.path.replace(':gardenId', here.gardenId);
    return { ...brought, [address]: await answer('garden', params, request, response) };
  };
