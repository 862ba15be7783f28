import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, Outlet, useLocation } from 'react-router';
import { ask } from '../kit/ask.ts';
import { HereProvider } from '../kit/garden.ts';
import { Notices } from '../kit/Notices.tsx';
import { usePreferences } from '../kit/preferences.ts';
import { Loaded, Waiting } from '../kit/states.tsx';
import { LogLine } from '../log/LogLine.tsx';
import { useMe } from './me.ts';
import { Rail } from './Rail.tsx';

/** The way into the garden: leads to set-up, to sign-in, or inside. */
export function Door() {
  const me = useMe();
  const location = useLocation();
  const chosen = usePreferences((preferences) => preferences.gardenId);
  if (me.data && !me.data.setUp) return <Navigate to="/set-up" replace />;
  if (me.data && !me.data.account) {
    return <Navigate to={`/sign-in?to=${encodeURIComponent(location.pathname)}`} replace />;
  }
  return (
    <Loaded of={me}>
      {({ memberships }) => {
        const membership = memberships.find((m) => m.gardenId === chosen) ?? memberships[0];
        return membership ? <Inside key={membership.gardenId} membership={membership} /> : <NoGarden />;
      }}
    </Loaded>
  );
}

type Membership = NonNullable<ReturnType<typeof useMe>['data']>['memberships'][number];

function Inside({ membership }: { membership: Membership }) {
  const { gardenId, personId, role, name } = membership;
  const { t } = useTranslation('shell');
  const garden = useQuery({
    queryKey: ['garden', gardenId, 'itself'],
    queryFn: async () => (await ask('garden', { params: { gardenId } })).data,
  });
  return (
    <Loaded of={garden}>
      {(data) => (
        <HereProvider value={{ garden: data, personId, role, name }}>
          <a
            href="#page"
            className="-translate-y-full fixed top-0 left-0 z-50 bg-blossom px-4 py-2 text-on-blossom focus:translate-y-0 print:hidden"
          >
            {t('skip')}
          </a>
          <div className="flex min-h-dvh flex-col sm:flex-row print:min-h-0">
            <Rail />
            <div className="flex min-w-0 flex-1 flex-col pb-20 sm:pb-0 print:pb-0">
              {role !== 'receiver' && (
                <div className="print:hidden">
                  <LogLine />
                </div>
              )}
              <main
                id="page"
                tabIndex={-1}
                className="w-full max-w-[90rem] flex-1 px-4 py-5 outline-none sm:px-8 sm:py-7"
              >
                <Suspense fallback={<Waiting />}>
                  <Outlet />
                </Suspense>
              </main>
            </div>
          </div>
          <Notices />
        </HereProvider>
      )}
    </Loaded>
  );
}

function NoGarden() {
  const { t } = useTranslation('shell');
  return <p className="p-8">{t('noGarden')}</p>;
}
