import type { Person } from '@unity-acre/contract/crew';
import type { Session } from '@unity-acre/contract/work';
import { headsBehind } from '@unity-acre/core/crew';
import { UserCheck } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { PersonSelect, presentPeople, useHere } from '../../garden/index.ts';
import { Button, TimeField } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { timeFor } from './clock.ts';
import { expectedAt } from './expected.ts';
import { useMarks } from './marks.ts';

/** Lines on paper for those who come without having said so. */
const WALK_INS = [1, 2, 3, 4];

interface Props {
  session: Session;
  people: Person[];
  mayMark: boolean;
}

/** Who is expected, who came, and when they left. */
export function RollCall({ session, people, mayMark }: Props) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const dates = useDates();
  const add = useMarks((marks) => marks.add);
  const mark = (personId: string, what: string, body: { arrived: string | null; left: string | null }) =>
    add({ gardenId: garden.id, sessionId: session.id, kind: 'rollCall', personId, what, body });
  const expected = expectedAt(session);
  const isYet = session.on <= garden.today;
  // Whose guardian has not allowed photos: said beside the name, where cameras are.
  const withoutPhotos = new Set(
    people
      .filter(({ kind, consents }) => kind === 'minor' && !consents.includes('photo'))
      .map(({ id }) => id),
  );
  const others = presentPeople(people).filter(
    ({ id, role, waitingSince }) =>
      role !== 'receiver' &&
      waitingSince === null &&
      !session.signUps.some(({ personId }) => personId === id),
  );
  return (
    <section className="furrow">
      <div className="flex items-baseline justify-between gap-3">
        <h2>{t('who')}</h2>
        <p>
          {t('heads', {
            here: headsBehind(expected.filter(({ arrived }) => arrived !== null)),
            expected: headsBehind(expected),
          })}
        </p>
      </div>
      {mayMark && (
        <p className="text-ink-soft text-sm print:hidden">
          {isYet ? t('whoHint') : t('notYet', { day: dates.short(session.on) })}
        </p>
      )}
      {expected.length === 0 && <p className="py-2">{t('nobody')}</p>}
      <ul>
        {expected.map((one) => {
          const { personId, arrived, left } = one;
          const name = one.name || t('underAge');
          return (
            <li
              key={personId}
              className="flex min-h-target flex-wrap items-center gap-x-3 border-line border-b py-1"
            >
              <span aria-hidden className="hidden size-4 border border-ink print:inline-block" />
              <span className="mr-auto">
                {name}
                {withoutPhotos.has(personId) && (
                  <strong className="text-beet text-sm"> · {t('noPhotos')}</strong>
                )}
                {personId === session.leadId && <span className="text-ink-soft"> · {t('leads')}</span>}
                {one.headcount > 1 && <span className="text-ink-soft"> · {one.headcount}</span>}
              </span>
              {mayMark && isYet && (
                <span className="flex flex-wrap items-center gap-2 print:hidden">
                  {arrived === null ? (
                    <Button
                      onClick={() => mark(personId, name, { arrived: timeFor(session, garden), left: null })}
                    >
                      <UserCheck aria-hidden size={18} />
                      {t('here')}
                      <span className="sr-only">: {name}</span>
                    </Button>
                  ) : (
                    <>
                      <TimeField
                        className="w-36"
                        aria-label={`${name}, ${t('came')}`}
                        value={arrived}
                        onChange={(value) =>
                          value &&
                          mark(personId, name, { arrived: value, left: left && left > value ? left : null })
                        }
                      />
                      {left === null ? (
                        <Button
                          onClick={() => {
                            const now = timeFor({ ...session, from: session.to }, garden);
                            mark(personId, name, { arrived, left: now > arrived ? now : session.to });
                          }}
                        >
                          {t('leaves')}
                          <span className="sr-only">: {name}</span>
                        </Button>
                      ) : (
                        <TimeField
                          className="w-36"
                          aria-label={`${name}, ${t('leftAt')}`}
                          value={left}
                          onChange={(value) =>
                            mark(personId, name, { arrived, left: value > arrived ? value : null })
                          }
                        />
                      )}
                      <Button
                        look="quiet"
                        onClick={() => mark(personId, name, { arrived: null, left: null })}
                        aria-label={`${t('notHere')}: ${name}`}
                      >
                        {t('notHere')}
                      </Button>
                    </>
                  )}
                </span>
              )}
              {!mayMark && arrived && <span className="text-leaf text-sm">{t('here')}</span>}
            </li>
          );
        })}
      </ul>
      {session.waiting.length > 0 && (
        <p className="mt-2 text-sm">
          {t('waitingList', {
            names: session.waiting.map(({ name }) => name || t('underAge')).join(', '),
          })}
        </p>
      )}
      <ul aria-hidden className="hidden print:block">
        {WALK_INS.map((line) => (
          <li key={line} className="flex min-h-8 items-end gap-3 border-ink border-b pb-1">
            <span className="size-4 border border-ink" />
            <span className="text-sm">{t('walkIn')}</span>
          </li>
        ))}
      </ul>
      {mayMark && isYet && others.length > 0 && (
        <div className="mt-3 flex flex-wrap items-center gap-2 print:hidden">
          <span className="text-sm">{t('add')}</span>
          <PersonSelect
            className="w-52"
            aria-label={t('add')}
            placeholder={t('adding')}
            value=""
            onChange={(id) => {
              const name = others.find((one) => one.id === id)?.name ?? '';
              mark(id, name, { arrived: timeFor(session, garden), left: null });
            }}
            people={others}
          />
        </div>
      )}
    </section>
  );
}
