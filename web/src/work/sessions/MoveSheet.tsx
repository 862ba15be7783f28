import { moveInput, type Session, type TaskView } from '@unity-acre/contract/work';
import { addDays } from '@unity-acre/core/calendar';
import { useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { useCoordinates, useHere, useWrite } from '../../garden/index.ts';
import { Button, DateField, RadioGroup, TimeField } from '../../kit/controls/index.ts';
import { Field, Form, FormFaults, useBodyForm } from '../../kit/forms/index.ts';
import { Sheet } from '../../kit/screens/index.ts';
import { useSessionTasks } from './sessionTasks.ts';
import { WaitsFor } from './WaitsFor.tsx';

/** Days a repair looks ahead from the session that falls away. */
const REPAIRED = 21;

interface Props {
  session: Session;
  /** the tasks of all sessions */
  taken: TaskView[];
  onClose(): void;
}

/** Rain, frost, a lead who fell ill: calls a session off or moves it, alone or with a repair of the rota. */
export function MoveSheet({ session, taken, onClose }: Props) {
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
    draft: `move ${session.id}`,
    schema: moveInput,
    version: session.version,
    defaults: {
      how: 'off' as 'off' | 'other',
      on: addDays(session.on, 1),
      from: session.from,
      to: session.to,
      why: '',
    },
    flat: (path) => path.replace(/^to\./, ''),
    toBody: ({ how, on, from, to, why }) => ({ to: how === 'off' ? null : { on, from, to }, why }),
    send: async (body, ifMatch) => {
      if (!repairs.current) {
        await move.mutateAsync({ params: { id: session.id }, body, ifMatch });
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
  const how = form.watch('how');
  const on = form.watch('on');
  // Rain does not ask what waits for what: it is told, and a repair finds other days for it.
  const { tasks, early } = useSessionTasks(session.id, taken, { on, chosen: session.taskIds, wanted: null });
  return (
    <Sheet open title={t('move.title', { title: session.title })} onClose={onClose}>
      <Form of={form} className="flex flex-col gap-4">
        <fieldset>
          <legend className="font-semibold text-sm">{t('move.how')}</legend>
          <RadioGroup
            {...form.control('how')}
            aria-label={t('move.how')}
            options={(['off', 'other'] as const).map((one) => ({ value: one, label: t(`move.${one}`) }))}
          />
        </fieldset>
        {how === 'other' && (
          <div className="grid grid-cols-2 gap-4">
            <Field label={t('move.on')} name="on">
              {(props) => <DateField {...props} {...form.control('on')} />}
            </Field>
            <span />
            <Field label={t('move.from')} name="from">
              {(props) => <TimeField {...props} {...form.control('from')} />}
            </Field>
            <Field label={t('move.to')} name="to">
              {(props) => <TimeField {...props} {...form.control('to')} />}
            </Field>
            <div className="col-span-2">
              <WaitsFor early={early} tasks={tasks} />
            </div>
          </div>
        )}
        <Field label={t('move.why')} hint={t('move.whyHint')} name="why">
          {(props) => <input {...props} {...form.register('why')} className="input" />}
        </Field>
        <FormFaults />
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
      </Form>
    </Sheet>
  );
}
