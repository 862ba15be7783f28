import type { HelpLetter, Session } from '@unity-acre/contract/work';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useWrite } from '../../../../garden/index.ts';
import { ask } from '../../../../kit/ask.ts';
import { Button, Checkbox } from '../../../../kit/controls/index.ts';
import { refusalWords } from '../../../../kit/forms/index.ts';
import { Refused } from '../../../../kit/refused.ts';
import { Sheet } from '../../../../kit/screens/index.ts';

/** What each of them would be written, as the server writes it; null until it is there, words where it refuses. */
function useDrafts(sessionId: string, personIds: readonly string[]): HelpLetter[] | string | null {
  const { garden } = useHere();
  const [drafts, setDrafts] = useState<HelpLetter[] | string | null>(null);
  const wanted = personIds.join(' ');
  useEffect(() => {
    let isGone = false;
    const show = (now: HelpLetter[] | string) => !isGone && setDrafts(now);
    ask('askForHelp', {
      params: { gardenId: garden.id, id: sessionId },
      body: { personIds: wanted.split(' '), send: false },
    }).then(
      ({ data }) => show(data),
      async (error: unknown) => {
        if (!(error instanceof Refused)) throw error;
        show(await refusalWords(error));
      },
    );
    return () => {
      isGone = true;
    };
  }, [garden.id, sessionId, wanted]);
  return drafts;
}

/** Who is free for a session, who of them is asked, and the letter that they get. */
export function AskSheet({
  session,
  personIds,
  onClose,
}: {
  session: Session;
  personIds: readonly string[];
  onClose(): void;
}) {
  const { t } = useTranslation(['home', 'kit']);
  const people = useList('people').data ?? [];
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const drafts = useDrafts(session.id, personIds);
  const asked = personIds.filter((id) => !left.has(id));
  const send = useWrite('askForHelp', ({ data }) => t('home:ask.sent', { count: data.length }));
  const toggle = (id: string, isAsked: boolean) =>
    setLeft((now) => new Set(isAsked ? [...now].filter((one) => one !== id) : [...now, id]));
  const letters = Array.isArray(drafts) ? drafts : [];
  return (
    <Sheet open title={t('home:ask.title', { session: session.title })} onClose={onClose}>
      <fieldset className="flex flex-col">
        <legend className="font-semibold">{t('home:ask.who')}</legend>
        {personIds.map((id) => {
          const letter = letters.find(({ personId }) => personId === id);
          return (
            <Checkbox
              key={id}
              label={
                <>
                  {people.find((person) => person.id === id)?.name ?? letter?.to}{' '}
                  <span className="text-ink-soft text-sm">
                    {letter && t(`home:ask.channel.${letter.channel}`)}
                  </span>
                </>
              }
              checked={!left.has(id)}
              onChange={(isAsked) => toggle(id, isAsked)}
            />
          );
        })}
      </fieldset>
      <section>
        <h3>{t('home:ask.letter')}</h3>
        {drafts === null && <p aria-busy>{t('kit:loading')}</p>}
        {typeof drafts === 'string' && <p className="text-beet">{drafts}</p>}
        {differing(letters).map(({ language, channel, subject, body }) => (
          <blockquote
            key={`${language} ${channel}`}
            lang={language}
            className="mt-1 border-blossom border-l-4 bg-straw-soft px-3 py-2"
          >
            <p className="font-semibold">{subject}</p>
            <p>{body}</p>
          </blockquote>
        ))}
      </section>
      <div className="flex gap-2">
        <Button
          look="act"
          disabled={asked.length === 0 || letters.length === 0 || send.isPending}
          onClick={() =>
            send.mutate(
              { params: { id: session.id }, body: { personIds: asked, send: true } },
              { onSuccess: onClose },
            )
          }
        >
          {t('home:ask.send', { count: asked.length })}
        </Button>
        <Button onClick={onClose}>{t('kit:cancel')}</Button>
      </div>
    </Sheet>
  );
}

/** One letter of each language and each way it goes: the rest say the same. */
const differing = (letters: readonly HelpLetter[]): HelpLetter[] => [
  ...new Map(letters.map((letter) => [`${letter.language} ${letter.body}`, letter])).values(),
];
