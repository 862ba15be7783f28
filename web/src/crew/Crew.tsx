import type { Person } from '@unity-acre/contract/crew';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button } from '../kit/Button.tsx';
import { useDates } from '../kit/dates.ts';
import { useCoordinates, useHere, useList, useWrite } from '../kit/garden.ts';
import { useMeasure } from '../kit/measure.ts';
import { useNotices } from '../kit/notices.ts';
import { Bare, Loaded } from '../kit/states.tsx';
import { seasonYearOf } from '../season/year.ts';
import { CrewPaths } from './CrewPaths.tsx';
import { PeopleFileSheet } from './PeopleFileSheet.tsx';
import { PersonSheet } from './PersonSheet.tsx';

/** The people of the garden: who is here, what they hold, who waits. */
export default function Crew() {
  const { t } = useTranslation(['crew', 'people']);
  const { garden } = useHere();
  const [reading, setReading] = useState(false);
  const people = useList('people');
  const coordinates = useCoordinates();
  const [edited, setEdited] = useState<Person | 'new' | null>(null);
  return (
    <div className="flex flex-col gap-6">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1>{t('crew:title')}</h1>
        {coordinates && (
          <div className="flex flex-wrap items-center gap-3">
            <a
              className="inline-flex min-h-target items-center underline underline-offset-4"
              href={`/api/gardens/${garden.id}/people-file`}
              download
            >
              {t('people:list.save')}
            </a>
            <Button onClick={() => setReading(true)}>{t('people:list.open')}</Button>
            <Button look="act" onClick={() => setEdited('new')}>
              <Plus aria-hidden size={18} />
              {t('crew:add')}
            </Button>
          </div>
        )}
      </div>
      <CrewPaths />
      <Loaded of={people}>
        {(list) => {
          const waiting = list
            .filter((person) => person.waitingSince !== null && person.retiredOn === null)
            .sort((a, b) => a.waitingSince!.localeCompare(b.waitingSince!));
          const here = list.filter((person) => person.waitingSince === null && person.retiredOn === null);
          const left = list.filter((person) => person.retiredOn !== null);
          return (
            <>
              <p className="text-ink-soft">
                {t('crew:count', {
                  heads: here.reduce((sum, person) => sum + person.headcount, 0),
                  names: here.length,
                })}
              </p>
              <section className="furrow">
                <h2>{t('crew:here')}</h2>
                <People people={here} onEdit={setEdited} />
                {here.length === 1 && coordinates && <Bare title={t('crew:alone')} />}
              </section>
              {waiting.length > 0 && (
                <section className="furrow">
                  <h2>{t('crew:waiting')}</h2>
                  <People people={waiting} onEdit={setEdited} />
                </section>
              )}
              {left.length > 0 && (
                <section className="furrow">
                  <h2>{t('crew:left')}</h2>
                  <People people={left} onEdit={setEdited} />
                </section>
              )}
            </>
          );
        }}
      </Loaded>
      {reading && <PeopleFileSheet onClose={() => setReading(false)} />}
      {edited && <PersonSheet person={edited === 'new' ? null : edited} onClose={() => setEdited(null)} />}
    </div>
  );
}

function People({ people, onEdit }: { people: Person[]; onEdit(person: Person): void }) {
  const { t } = useTranslation(['crew', 'people', 'shell', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const dates = useDates();
  const beds = useList('beds');
  const year = seasonYearOf(garden, garden.today);
  const held = (person: Person) =>
    (beds.data ?? [])
      .filter((bed) => bed.tenures.some((tenure) => tenure.year === year && tenure.personId === person.id))
      .map((bed) => bed.name);
  return (
    <ul>
      {people.map((person) => (
        <li
          key={person.id}
          className="grid items-center gap-x-5 gap-y-0.5 border-line border-b py-1.5 sm:grid-cols-[minmax(10rem,1.2fr)_8rem_minmax(8rem,1fr)_minmax(11rem,auto)]"
        >
          <p>
            <span className="font-semibold">{person.name}</span>
            {person.headcount > 1 && (
              <span className="text-ink-soft"> · {t('crew:heads', { n: person.headcount })}</span>
            )}
            {person.household && <span className="block text-ink-soft text-sm">{person.household}</span>}
            <WorkFacts person={person} people={people} />
          </p>
          <p>{t(`shell:role.${person.role}`)}</p>
          <p className="text-sm">
            {person.waitingSince
              ? t('crew:waitingSince', {
                  day: dates.bare(person.waitingSince),
                  year: person.waitingSince.slice(0, 4),
                })
              : held(person).join(', ')}
          </p>
          {coordinates && (
            <div className="flex justify-end gap-2">
              {!person.joined && person.email && person.retiredOn === null && (
                <InviteButton person={person} />
              )}
              <Button
                look="quiet"
                onClick={() => onEdit(person)}
                aria-label={t('crew:edit', { name: person.name })}
              >
                {t('kit:change')}
              </Button>
            </div>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What a rota would want to know: under age or of how many children, when they can come, what they promised. */
function WorkFacts({ person, people }: { person: Person; people: Person[] }) {
  const { t } = useTranslation('people');
  const { number } = useMeasure();
  const dates = useDates();
  if (person.role === 'receiver' || person.waitingSince !== null) return null;
  const { weekly } = person.availability;
  const days = [...new Set(weekly?.map(({ weekday }) => weekday))].sort();
  const guardian = people.find(({ id }) => id === person.guardianId);
  const facts = [
    guardian && t('line.minor', { guardian: guardian.name }),
    person.children > 0 && t('line.children', { n: person.children }),
    weekly === null
      ? t('line.unsaid')
      : days.length === 0
        ? t('line.never')
        : days.map((day) => dates.ofWeek(day)).join(', '),
    person.pledged !== null && t('line.pledged', { hours: number(person.pledged / 60, 1) }),
  ];
  return <span className="block text-ink-soft text-sm">{facts.filter(Boolean).join(' · ')}</span>;
}

/** Makes an invitation and keeps its address in sight, to be handed over. */
function InviteButton({ person }: { person: Person }) {
  const { t } = useTranslation(['crew', 'kit']);
  const [address, setAddress] = useState<string | null>(null);
  const invite = useWrite('invite');
  const show = useNotices((notices) => notices.show);
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
        <Button
          onClick={async () => {
            await navigator.clipboard?.writeText(address);
            show({ text: t('kit:copied') });
          }}
        >
          {t('kit:copy')}
        </Button>
      </span>
    );
  }
  return (
    <Button
      disabled={invite.isPending}
      onClick={async () =>
        setAddress((await invite.mutateAsync({ params: { id: person.id }, body: {} })).data.address)
      }
    >
      {t('crew:invite')}
    </Button>
  );
}
