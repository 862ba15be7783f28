import type { Message } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useHere, useList, useWrite } from '../../garden/index.ts';
import { Button, DateField } from '../../kit/controls/index.ts';
import { useDates } from '../../kit/dates.ts';
import { Field, firstFault, hasFields } from '../../kit/forms/index.ts';
import { Bare, Loaded, Screen } from '../../kit/screens/index.ts';

/** What was written to people, as they get it, and who has still to be told in person. */
export default function MessagesPage() {
  const { t } = useTranslation('day');
  const messages = useList('messages');
  return (
    <Screen title={t('post.title')}>
      <p className="max-w-prose text-ink-soft">{t('post.lead')}</p>
      <Reminding />
      <Loaded of={messages}>
        {(list) => {
          if (list.length === 0) {
            return (
              <Bare title={t('post.none')}>
                <p>{t('post.noneHint')}</p>
              </Bare>
            );
          }
          const toCall = list.filter(({ sent }) => !sent);
          const others = list.filter(({ sent }) => sent);
          return (
            <>
              {toCall.length > 0 && (
                <section className="furrow">
                  <h2>{t('post.toCall', { count: toCall.length })}</h2>
                  <Letters list={toCall} />
                </section>
              )}
              {others.length > 0 && (
                <section className="furrow">
                  <Letters list={others} />
                </section>
              )}
            </>
          );
        }}
      </Loaded>
    </Screen>
  );
}

function Reminding() {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const [until, setUntil] = useState(addDays(garden.today, 2));
  const remind = useWrite('remind', {
    say: ({ data }) => t('post.written', { count: data.messages }),
    isShownHere: hasFields,
  });
  const error = firstFault(remind.error);
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        remind.mutate({ body: { until } });
      }}
    >
      <Field label={t('post.remind')} error={error}>
        {(props) => <DateField {...props} value={until} onChange={(value) => setUntil(value)} />}
      </Field>
      <Button type="submit" look="act" className="mt-6" disabled={remind.isPending}>
        {t('post.write')}
      </Button>
    </form>
  );
}

function Letters({ list }: { list: Message[] }) {
  const { t } = useTranslation(['day', 'messages']);
  const dates = useDates();
  const mark = useWrite('markSent');
  return (
    <ul>
      {list.map((letter) => (
        <li
          key={letter.id}
          className="grid gap-x-6 gap-y-1 border-line border-b py-3 sm:grid-cols-[11rem_minmax(0,1fr)_auto]"
        >
          <p className="leading-tight">
            <span className="block font-semibold">{t('post.to', { name: letter.to })}</span>
            <span className="block break-words text-ink-soft text-sm">
              {letter.channel === 'phone' && letter.address === ''
                ? t('post.by.phoneless')
                : t(`post.by.${letter.channel}`, { address: letter.address })}
            </span>
            <span className="text-ink-soft text-sm">{dates.moment(letter.at)}</span>
          </p>
          <div lang={letter.language} className="min-w-0 max-w-prose">
            <p className="font-semibold">{letter.subject}</p>
            <p>{letter.body}</p>
          </div>
          <p className="flex flex-col items-start gap-1 sm:items-end">
            <span className="rounded-sm border border-line-strong px-2 text-sm">
              {t(`messages:${letter.kind}.name`)}
            </span>
            {!letter.sent && (
              <Button
                onClick={() =>
                  mark.mutate({ params: { id: letter.id }, body: { sent: true }, ifMatch: undefined })
                }
              >
                {t('post.called')}
                <span className="sr-only">: {letter.to}</span>
              </Button>
            )}
          </p>
        </li>
      ))}
    </ul>
  );
}
