import type { Me } from '@unity-acre/contract/crew';
import { Dialog } from 'radix-ui';
import { useTranslation } from 'react-i18next';
import { SignInForm } from '../../crew/access/index.ts';
import { useKnowMe, useMe } from '../../garden/index.ts';
import { Button } from '../../kit/controls/index.ts';
import { dropDrafts } from '../../kit/forms/index.ts';

/** Lies over the whole page until somebody has signed in again. @param answer told whether they are who was here before */
export function SignInSheet({ answer }: { answer(isBack: boolean): void }) {
  const { t } = useTranslation('crew');
  const before = useMe().data?.account?.email;
  const know = useKnowMe();
  const goOn = (me: Me) => {
    if (me.account?.email === before) {
      know(me);
      answer(true);
    } else {
      dropDrafts();
      window.location.assign('/');
    }
  };
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-[90] overflow-y-auto bg-frost px-5 py-12 sm:px-12"
        >
          <div className="mx-auto flex max-w-md flex-col gap-4">
            <Dialog.Title className="text-2xl">{t('again.title')}</Dialog.Title>
            <p>{t('again.lead')}</p>
            <SignInForm onDone={goOn} />
            <Button look="quiet" className="self-start" onClick={() => window.location.assign('/sign-in')}>
              {t('again.leave')}
            </Button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
