import { useNavigate } from 'react-router';
import { useBecome, useHere, useMe, useWrite } from '../../garden/index.ts';
import { dropDrafts } from '../../kit/forms/index.ts';
import { usePreferences } from '../../preferences.ts';

/** Ways out of the garden: to another one somebody belongs to, or out altogether. */
export function useLeaving() {
  const { garden } = useHere();
  const me = useMe();
  const become = useBecome();
  const signOut = useWrite('signOut');
  const navigate = useNavigate();
  const choose = usePreferences((preferences) => preferences.choose);
  return {
    others: (me.data?.memberships ?? []).filter((membership) => membership.gardenId !== garden.id),
    goTo: (gardenId: string) => {
      dropDrafts();
      choose({ gardenId });
    },
    leave: () =>
      signOut.mutate(
        { body: {} },
        {
          onSuccess: () => {
            become(null);
            void navigate('/sign-in');
          },
        },
      ),
  };
}
