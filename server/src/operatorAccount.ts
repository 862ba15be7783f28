import { accounts, people } from './crew/entity.ts';
import { newInvitation, newPasswordLink, passwordLinkAddress } from './crew/index.ts';
import { openStore } from './database/store.ts';
import { gardens } from './place/entity.ts';

export interface WayIn {
  garden: string | null;
  address: string;
}

/**
 * Makes a way in for somebody who has none left, such as a garden's last coordinator: a link for a new password, or where the
 * address has no account, an invitation into each garden whose list has it. It works beside a running server.
 * @throws Error where nobody has that address
 */
export async function wayIn(dataDir: string, publicUrl: string, mail: string): Promise<WayIn[]> {
  const email = mail.trim().toLowerCase();
  const store = await openStore(dataDir, { beside: true });
  try {
    return await store.write(async (manager) => {
      const database = { manager, clock: store.clock };
      const account = await manager.findOneBy(accounts, { email });
      if (account) {
        const { token } = await newPasswordLink(database, account.id);
        return [{ garden: null, address: passwordLinkAddress(publicUrl, token) }];
      }
      const persons = await manager.findBy(people, { email });
      if (persons.length === 0)
        throw new Error(`Nobody here has the address ${email}. Check how it is written.`);
      const ways: WayIn[] = [];
      for (const person of persons) {
        const { address } = await newInvitation(database, person, publicUrl);
        const garden = await manager.findOneByOrFail(gardens, { id: person.gardenId });
        ways.push({ garden: garden.name, address });
      }
      return ways;
    });
  } finally {
    await store.close();
  }
}
