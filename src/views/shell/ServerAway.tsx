/** The page that is shown in place of any other while the server is away: what goes on without it, and the way back once it is there. */
import { useEffect } from 'react';
import { untilServerAnswers } from '../../ui/away';
import { Teach } from '../../ui/Teach';

export function ServerAway() {
  useEffect(() => {
    const gone = new AbortController();
    void untilServerAnswers(gone.signal).then(() => {
      if (gone.signal.aborted) return;
      // it stands in the place of the page that was asked for; asked for by its own name it leads to the bench
      if (location.pathname === '/offline') location.replace('/');
      else location.reload();
    });
    return () => gone.abort();
  }, []);
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4">
      <h1 className="pb-3">The app’s server does not answer</h1>
      <Teach drawing="rail">
        <p>
          <strong>What goes on:</strong> a run that is open in another tab. Its clocks run, every step you take is kept in this browser, and
          is sent once the server is back. Do not close that tab.
        </p>
        <p className="pt-2">
          <strong>What waits:</strong> every other page, and everything to save.
        </p>
        <p className="pt-2">
          Look whether the computer that serves the app is on, awake and on the same network. This page opens by itself once it answers.
        </p>
      </Teach>
    </div>
  );
}
