import type { Person } from '@unity-acre/contract/crew';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useWrite } from '../../garden/index.ts';
import { Button, Progress } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Bare, Sheet, useNotices } from '../../kit/screens/index.ts';

/** Who has no way in yet and can be given one. */
export const mayBeInvited = ({ joined, email, retiredOn }: Person): boolean =>
  !joined && email !== null && retiredOn === null;

/** Puts text where it can be pasted from, and says so. */
function useCopy(): (text: string) => Promise<void> {
  const { t } = useTranslation('kit');
  const show = useNotices((notices) => notices.show);
  return async (text) => {
    await navigator.clipboard?.writeText(text);
    show({ text: t('copied') });
  };
}

/** Makes an invitation and keeps its address in sight, to be handed over; says until when one is good that was made before. */
export function InviteButton({ person }: { person: Person }) {
  const { t } = useTranslation(['crew', 'people', 'kit']);
  const dates = useDates();
  const [address, setAddress] = useState<string | null>(null);
  const invite = useWrite('invite');
  const copy = useCopy();
  if (address) {
    return (
      <span className="flex items-center gap-2">
        <input
          readOnly
          value={address}
          aria-label={t('crew:inviteAddress', { name: person.name })}
          className="input w-56 text-sm"
          onFocus={(event) => event.target.select()}
        />
        <Button onClick={() => copy(address)}>{t('kit:copy')}</Button>
      </span>
    );
  }
  const make = () =>
    invite.mutate(
      { params: { id: person.id }, body: {} },
      { onSuccess: ({ data }) => setAddress(data.address) },
    );
  return (
    <span className="flex items-center gap-2">
      {person.invitedUntil && (
        <span className="text-ink-soft text-sm">
          {t('people:invite.until', { day: dates.bare(person.invitedUntil.slice(0, 10)) })}
        </span>
      )}
      <Button disabled={invite.isPending} onClick={make}>
        {person.invitedUntil ? t('people:invite.again') : t('crew:invite')}
        <span className="sr-only">: {person.name}</span>
      </Button>
    </span>
  );
}

interface Made {
  person: Person;
  address: string;
}

/** Invitations for all who have no way in yet, made in one go, to be copied into letters or printed. */
export function InviteSheet({ people, onClose }: { people: Person[]; onClose(): void }) {
  const { t } = useTranslation(['people', 'kit']);
  const [asked] = useState(() => people.filter((person) => mayBeInvited(person) && !person.invitedUntil));
  const [made, setMade] = useState<Made[] | null>(null);
  const invite = useWrite('invite');
  const copy = useCopy();
  const makeAll = async () => {
    const list: Made[] = [];
    setMade(list);
    for (const person of asked) {
      const { data } = await invite.mutateAsync({ params: { id: person.id }, body: {} });
      list.push({ person, address: data.address });
      setMade([...list]);
    }
  };
  const lines = (made ?? []).map(({ person, address }) => `${person.name}\t${person.email}\t${address}`);
  return (
    <Sheet open title={t('people:invite.several')} onClose={onClose}>
      {asked.length === 0 && <Bare title={t('people:invite.none')} />}
      {asked.length > 0 && made === null && (
        <div className="flex flex-col items-start gap-3">
          <p>{t('people:invite.lead', { count: asked.length })}</p>
          <Button look="act" onClick={() => void makeAll().catch(() => setMade(null))}>
            {t('people:invite.make', { count: asked.length })}
          </Button>
        </div>
      )}
      {made && (
        <div className="flex flex-col gap-3">
          {made.length < asked.length && (
            <Progress label={t('people:invite.several')} share={made.length / asked.length} />
          )}
          <Button className="self-start" onClick={() => copy(lines.join('\n'))}>
            {t('people:invite.copyAll')}
          </Button>
          <ul>
            {made.map(({ person, address }) => (
              <li key={person.id} className="border-line border-b py-2">
                <span className="font-semibold">{person.name}</span>{' '}
                <span className="text-ink-soft text-sm">{person.email}</span>
                <span className="block break-all text-sm">{address}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </Sheet>
  );
}
