import { Suspense, useEffect } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, Outlet, useLocation } from 'react-router';
import { membershipOf } from '../atFirst.ts';
import { CatalogueProvider } from '../crops/CatalogueProvider.tsx';
import { HereProvider, useGarden, useMe } from '../garden/index.ts';
import { Loaded, Notices, usePlaceName, Waiting } from '../kit/screens/index.ts';
import { LogLine } from '../log/LogLine.tsx';
import { usePreferences } from '../preferences.ts';
import { LeaveGuard } from './LeaveGuard.tsx';
import { Rail } from './rail/Rail.tsx';
import { SignInAgain } from './signIn/SignInAgain.tsx';

/** The way into the garden: leads to set-up, to sign-in, or inside. */
export function Door() {
  const me = useMe();
  const location = useLocation();
  const chosen = usePreferences((preferences) => preferences.gardenId);
  if (me.data && !me.data.setUp) return <Navigate to="/set-up" replace />;
  if (me.data && !me.data.account) {
    const { pathname, search, hash } = location;
    return <Navigate to={`/sign-in?to=${encodeURIComponent(pathname + search + hash)}`} replace />;
  }
  return (
    <Loaded of={me}>
      {(known) => {
        const membership = membershipOf(known, chosen);
        return membership ? <Inside key={membership.gardenId} membership={membership} /> : <NoGarden />;
      }}
    </Loaded>
  );
}

type Membership = NonNullable<ReturnType<typeof useMe>['data']>['memberships'][number];

function Inside({ membership }: { membership: Membership }) {
  const { gardenId, personId, role, name } = membership;
  const { t } = useTranslation('shell');
  const garden = useGarden(gardenId);
  const place = garden.data?.name;
  useEffect(() => {
    if (place) usePlaceName.setState({ name: place });
  }, [place]);
  return (
    <Loaded of={garden}>
      {(data) => (
        <HereProvider value={{ garden: data, personId, role, name }}>
          <CatalogueProvider>
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
            <LeaveGuard />
            <SignInAgain />
          </CatalogueProvider>
        </HereProvider>
      )}
    </Loaded>
  );
}

function NoGarden() {
  const { t } = useTranslation('shell');
  return <p className="p-8">{t('noGarden')}</p>;
}
