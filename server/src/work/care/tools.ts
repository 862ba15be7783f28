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
      const same = await writing.manager.findOneBy(tools, { gardenId: params.gardenId, name: body.name });
      if (same && same.id !== params.id) throw invalid('name', 'toolTaken');
      return toolView(await writing.put(tools, params.id, body, ifMatch));
    }),

  removeTool: async ({ params, ifMatch, change }) => {
    await change('tool.removed', '', (writing) => writing.remove(tools, params.id, ifMatch));
    return { ok: true };
  },
};
