import type { Tool } from '@unity-acre/contract/work';
import type { Handlers } from '../../http/handle.ts';
import { invalid } from '../../http/refusal.ts';
import { type ToolEntity, tools } from '../entity.ts';

const toolView = ({ gardenId: _, ...row }: ToolEntity): Tool => row;

export const toolRoutes: Pick<Handlers, 'tools' | 'saveTool' | 'removeTool'> = {
  tools: async ({ store, params: { gardenId } }) => {
    const rows = await store.manager.find(tools, { where: { gardenId }, order: { name: 'ASC' } });
    return rows.map(toolView);
  },

  saveTool: ({ params, body, ifMatch, change }) =>
    change('tool.saved', body.name, async (writing) => {
      const ofName = await writing.manager.findBy(tools, { gardenId: params.gardenId, name: body.name });
      const isTaken = ofName.some(
        ({ id, width, length }) => id !== params.id && width === body.width && length === body.length,
      );
      if (isTaken) throw invalid('name', 'toolTaken');
      return toolView(await writing.put(tools, params.id, body, ifMatch));
    }),

  removeTool: async ({ params, ifMatch, change }) => {
    await change('tool.removed', '', (writing) => writing.remove(tools, params.id, ifMatch));
    return { ok: true };
  },
};
