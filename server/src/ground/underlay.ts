import { PICTURE_BYTES, type pictureKinds } from '@unity-acre/contract/ground';
import { v7 as newId } from 'uuid';
import { type Handlers, prepared } from '../http/handle.ts';
import { invalid, Refusal } from '../http/refusal.ts';
import { takeBytes } from '../http/upload.ts';
import { pictures, underlays } from './entity.ts';
import { underlayView } from './views.ts';

/** The first bytes by which each kind of picture is known, whatever its sender calls it. */
const signatures: [kind: (typeof pictureKinds)[number], at: number, bytes: readonly number[]][] = [
  ['image/jpeg', 0, [0xff, 0xd8, 0xff]],
  ['image/png', 0, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/webp', 8, [0x57, 0x45, 0x42, 0x50]],
];

const kindOf = (content: Buffer) =>
  signatures.find(([, at, bytes]) => bytes.every((byte, i) => content[at + i] === byte))?.[0] ?? null;

type UnderlayRoutes = Pick<
  Handlers,
  'underlays' | 'addPicture' | 'saveUnderlay' | 'removeUnderlay' | 'picture'
>;

export const underlayRoutes: UnderlayRoutes = {
  underlays: async ({ store, params }) => (await store.manager.findBy(underlays, params)).map(underlayView),

  addPicture: prepared(
    async ({ request }) => {
      const tooLarge = () => invalid('file', `fileTooLarge:${PICTURE_BYTES / 1_000_000}`);
      const content = await takeBytes(request, PICTURE_BYTES, tooLarge);
      const kind = kindOf(content);
      if (!kind) throw invalid('file', 'notAPicture');
      return { kind, content: content.toString('base64') };
    },
    ({ params: { gardenId }, query, change }, picture) =>
      change('underlay.saved', '', async (writing) => {
        const pictureId = newId();
        await writing.manager.insert(pictures, { id: pictureId, gardenId, ...picture });
        const { width, height, metresPerPixel } = query;
        const lying = { x: 0, y: 0, metresPerPixel, angle: 0, strength: 0.6 };
        for (const row of await writing.manager.findBy(underlays, { gardenId })) {
          await writing.removeFound(underlays, row);
        }
        return underlayView(
          await writing.put(underlays, newId(), { ...lying, width, height, pictureId }, undefined),
        );
      }),
  ),

  saveUnderlay: ({ params, body, ifMatch, change }) =>
    change('underlay.saved', '', async (writing) => {
      const row = await writing.manager.findOneBy(underlays, params);
      if (!row) throw new Refusal('notFound');
      const { pictureId, width, height } = row;
      return underlayView(
        await writing.put(underlays, row.id, { ...body, pictureId, width, height }, ifMatch),
      );
    }),

  removeUnderlay: async ({ params, ifMatch, change }) => {
    await change('underlay.removed', '', (writing) => writing.remove(underlays, params.id, ifMatch));
    return { ok: true };
  },

  picture: async ({ store, params, response }) => {
    const row = await store.manager.findOneBy(pictures, params);
    if (!row) throw new Refusal('notFound');
    // A picture is never changed: another one has another address.
    response.setHeader('cache-control', 'private, max-age=31536000, immutable');
    response.type(row.kind).send(Buffer.from(row.content, 'base64'));
    return null;
  },
};
