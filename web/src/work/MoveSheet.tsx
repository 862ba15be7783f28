import { moveInput, type Session } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { Button } from '../kit/Button.tsx';
import { Field, useBodyForm } from '../kit/form.tsx';
import { useCoordinates, useHere, useWrite } from '../kit/garden.ts';
import { RefusedNote } from '../kit/RefusedNote.tsx';
import { Sheet } from '../kit/Sheet.tsx';

/** Days a repair looks ahead from the session that falls away. */
const REPAIRED = 21;

/** Rain, frost, a lead who fell ill: calls a session off or moves it, alone or with a repair of the rota. */
export function MoveSheet({ session, onClose }: { session: Session; onClose(): void }) {
  const { t } = useTranslation('day');
  const { garden } = useHere();
  const navigate = useNavigate();
  const coordinates = useCoordinates();
  // Which of the two buttons sends the form.
  const repairs = useRef(false);
  const move = useWrite('moveSession', () => t('move.done', { title: session.title }));
  const begin = useWrite('makeRota');
  const expected = new Set([
    ...session.signUps.map(({ personId }) => personId),
    ...(session.leadId ? [session.leadId] : []),
  ]);
  const form = useBodyForm({
    schema: moveInput,
    defaults: {
      how: 'off' as 'off' | 'other',
      on: addDays(session.on, 1),
      from: session.from,
      to: session.to,
      why: '',
    },
    flat: (path) => path.replace(/^to\./, ''),
    toBody: ({ how, on, from, to, why }) => ({ to: how === 'off' ? null : { on, from, to }, why }),
    send: async (body) => {
      if (!repairs.current) {
        await move.mutateAsync({ params: { id: session.id }, body, ifMatch: session.version });
        onClose();
        return;
      }
      const begun = await begin.mutateAsync({
        body: {
          from: garden.today,
          until: addDays(session.on, REPAIRED),
          repairing: true,
          move: { sessionId: session.id, ...body },
        },
      });
      navigate(`/sessions/rota?rota=${begun.data.id}`);
    },
  });
  const { errors } = form.formState;
  const error = (name: string) => (errors as Record<string, { message?: string } | undefined>)[name]?.message;
  const how = form.watch('how');
  return (
    <Sheet open title={t('move.title', { title: session.title })} onClose={onClose}>
      <form onSubmit={form.submit} noValidate className="flex flex-col gap-4">
        <fieldset>
          <legend className="font-semibold text-sm">{t('move.how')}</legend>
          {(['off', 'other'] as const).map((one) => (
            <label key={one} className="flex min-h-target items-center gap-3">
              <input
                type="radio"
                value={one}
                {...form.register('how')}
                className="size-5 accent-blossom-deep"
              />
              {t(`move.${one}`)}
            </label>
          ))}
        </fieldset>
        {how === 'other' && (
          <div className="grid grid-cols-2 gap-4">
            <Field label={t('move.on')} error={error('on')}>
              {(props) => <input {...props} {...form.register('on')} type="date" className="input" />}
            </Field>
            <span />
            <Field label={t('move.from')} error={error('from')}>
              {(props) => <input {...props} {...form.register('from')} type="time" className="input" />}
            </Field>
            <Field label={t('move.to')} error={error('to')}>
              {(props) => <input {...props} {...form.register('to')} type="time" className="input" />}
            </Field>
          </div>
        )}
        <Field label={t('move.why')} hint={t('move.whyHint')} error={error('why')}>
          {(props) => <input {...props} {...form.register('why')} className="input" />}
        </Field>
        <RefusedNote refused={form.refused} />
        <div className="flex flex-col items-start gap-2">
          {coordinates && (
            <>
              <Button type="submit" look="act" disabled={form.busy} onClick={() => (repairs.current = true)}>
                {t('move.repair')}
              </Button>
              <p className="text-ink-soft text-sm">{t('move.repairHint')}</p>
            </>
          )}
          <Button type="submit" disabled={form.busy} onClick={() => (repairs.current = false)}>
            {t('move.just', { count: expected.size })}
          </Button>
        </div>
      </form>
    </Sheet>
  );
}
