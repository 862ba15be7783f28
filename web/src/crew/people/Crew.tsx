import type { Person } from '@unity-acre/contract/crew';
import { headsBehind } from '@unity-acre/core/crew';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useCoordinates, useHere, useList, useMeasure } from '../../garden/index.ts';
import { PlacePaths } from '../../garden/paths/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { VirtualList } from '../../kit/lists/index.ts';
import { Bare, Loaded, Screen, useInAddress } from '../../kit/screens/index.ts';
import { InviteButton, InviteSheet, mayBeInvited } from './invitations.tsx';
import { PeopleFileSheet } from './PeopleFileSheet.tsx';
import { PersonSheet } from './PersonSheet.tsx';

/** The people of the garden: who is here, what they hold, who waits. */
export default function Crew() {
  const { t } = useTranslation(['crew', 'people']);
  const { garden } = useHere();
  const [reading, setReading] = useState(false);
  const [inviting, setInviting] = useState(false);
  const people = useList('people');
  const coordinates = useCoordinates();
  const [opened, open] = useInAddress('person');
  const edited = people.data?.find(({ id }) => id === opened) ?? null;
  return (
    <Screen
      title={t('crew:title')}
      actions={
        coordinates && (
          <div className="flex flex-wrap items-center gap-3">
            <a
              className="inline-flex min-h-target items-center underline underline-offset-4"
              href={`/api/gardens/${garden.id}/people-file`}
              download
            >
              {t('people:list.save')}
            </a>
            <Button onClick={() => setReading(true)}>{t('people:list.open')}</Button>
            <Button onClick={() => setInviting(true)}>{t('people:invite.several')}</Button>
            <Button look="act" onClick={() => open('new')}>
              <Plus aria-hidden size={18} />
              {t('crew:add')}
            </Button>
          </div>
        )
      }
    >
      <PlacePaths of="plots" />
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
                {t('crew:count', { count: headsBehind(here) })} · {t('crew:names', { count: here.length })}
              </p>
              <section className="furrow">
                <h2>{t('crew:here')}</h2>
                <People people={here} onEdit={({ id }) => open(id)} />
                {here.length === 1 && coordinates && <Bare title={t('crew:alone')} />}
              </section>
              {waiting.length > 0 && (
                <section className="furrow">
                  <h2>{t('crew:waiting')}</h2>
                  <People people={waiting} onEdit={({ id }) => open(id)} />
                </section>
              )}
              {left.length > 0 && (
                <section className="furrow">
                  <h2>{t('crew:left')}</h2>
                  <People people={left} onEdit={({ id }) => open(id)} />
                </section>
              )}
            </>
          );
        }}
      </Loaded>
      {inviting && <InviteSheet people={people.data ?? []} onClose={() => setInviting(false)} />}
      {reading && <PeopleFileSheet onClose={() => setReading(false)} />}
      {(opened === 'new' || edited) && (
        <PersonSheet key={opened} person={edited} onClose={() => open(null)} />
      )}
    </Screen>
  );
}

function People({ people, onEdit }: { people: Person[]; onEdit(person: Person): void }) {
  const { t } = useTranslation(['crew', 'people', 'shell', 'kit']);
  const { garden } = useHere();
  const coordinates = useCoordinates();
  const dates = useDates();
  const beds = useList('beds');
  const year = garden.seasonYear;
  const held = (person: Person) =>
    (beds.data ?? [])
      .filter((bed) => bed.tenures.some((tenure) => tenure.year === year && tenure.personId === person.id))
      .map((bed) => bed.name);
  return (
    <VirtualList items={people} keyOf={({ id }) => id} usualHeight={64}>
      {(person) => (
        <div className="grid items-center gap-x-5 gap-y-0.5 border-line border-b py-1.5 sm:grid-cols-[minmax(10rem,1.2fr)_8rem_minmax(8rem,1fr)_minmax(11rem,auto)]">
          <p>
            <span className="font-semibold">{person.name}</span>
            {person.headcount > 1 && (
              <span className="text-ink-soft"> · {t('crew:heads', { count: person.headcount })}</span>
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
              {mayBeInvited(person) && <InviteButton person={person} />}
              <Button
                look="quiet"
                onClick={() => onEdit(person)}
                aria-label={t('crew:edit', { name: person.name })}
              >
                {t('kit:change')}
              </Button>
            </div>
          )}
        </div>
      )}
    </VirtualList>
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
    person.children > 0 && t('line.children', { count: person.children }),
    weekly === null
      ? t('line.unsaid')
      : days.length === 0
        ? t('line.never')
        : days.map((day) => dates.ofWeek(day)).join(', '),
    person.pledged !== null && t('line.pledged', { hours: number(person.pledged / 60, 1) }),
  ];
  return <span className="block text-ink-soft text-sm">{facts.filter(Boolean).join(' · ')}</span>;
}
