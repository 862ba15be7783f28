import { Outlet } from 'react-router';
import { Choices } from './rail/Choices.tsx';

/** What stands before the garden: signing in, setting up, joining. */
export function Entrance() {
  return (
    <div className="flex min-h-dvh flex-col bg-frost lg:flex-row">
      <div className="flex items-end justify-between gap-4 bg-rail px-6 py-5 text-rail-ink lg:w-80 lg:flex-col lg:items-start lg:px-8 lg:py-10">
        <Wordmark />
        <Choices />
      </div>
      <main className="flex-1 px-5 py-8 sm:px-12 sm:py-12">
        <Outlet />
      </main>
    </div>
  );
}

function Wordmark() {
  return (
    <div className="flex items-center gap-3">
      <img src="/mark.svg" alt="" width={44} height={44} />
      <p className="font-bold font-title text-2xl leading-none">
        Unity
        <br />
        Acre
      </p>
    </div>
  );
}
