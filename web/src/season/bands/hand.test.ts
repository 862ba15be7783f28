import { beforeEach, expect, it, vi } from 'vitest';
import { useNotices } from '../../kit/notices.ts';
import { mover } from './hand.ts';

const connection = vi.hoisted(() => ({ isDown: true }));
vi.mock('./bandMove.ts', () => ({
  get movedBy() {
    if (connection.isDown) throw new Error('out of reach');
    return () => null;
  },
}));

const said = () => useNotices.getState().list.map(({ tone }) => tone);

beforeEach(() => {
  connection.isDown = true;
  mover.movedBy = null;
});

it('is fetched ahead without a word, and once more where it could not be', async () => {
  expect(await mover.fetch()).toBeNull();
  expect(said()).toEqual([]);
  connection.isDown = false;
  expect(await mover.fetch()).toBeTypeOf('function');
});

it('says where it cannot be fetched for a hand that moves a planting', async () => {
  expect(await mover.take()).toBeNull();
  expect(said()).toEqual(['trouble']);
});
