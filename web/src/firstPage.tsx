import { StrictMode, type ReactElement } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import { Provider } from 'react-redux';
import { Route, Routes, StaticRouter } from 'react-router';
import { api } from './app/api.ts';
import { jobsAhead } from './app/ahead.ts';
import { Coming } from './app/Coming.tsx';
import { Shell } from './app/Shell.tsx';
import { makeStore, type Store } from './app/store.ts';
import { JobsPlace } from './places/JobsPlace.tsx';

/** Fields and buttons do nothing until the application has taken the page over; its links work at once. */
const inert = (html: string): string => html.replaceAll(/<(button|input|textarea|select)\b/g, '<$1 inert');

/** The shell of the application with a place in it. */
async function drawn(store: Store, address: string, place: ReactElement): Promise<string> {
  const { prelude } = await prerenderToNodeStream(
    <StrictMode>
      <Provider store={store}>
        <StaticRouter location={address}>
          <Routes>
            <Route element={<Shell />}>
              <Route path={address} element={place} />
            </Route>
          </Routes>
        </StaticRouter>
      </Provider>
    </StrictMode>,
    { progressiveChunkSize: Infinity },
  );
  let html = '';
  for await (const part of prelude) html += String(part);
  return inert(html);
}

/**
 * Draws the list of jobs on the server, so that it is there before any script has run.
 * @param given the answers that it needs, by their address; without one of them it fails
 * @returns what stands in the root of the page
 */
export async function drawFirstPage(given: Readonly<Record<string, unknown>>): Promise<string> {
  const store = makeStore(new Map(Object.entries(given)));
  try {
    await jobsAhead(store.dispatch);
    return await drawn(store, '/jobs', <JobsPlace />);
  } finally {
    // Nothing of it is kept, and no timer waits to forget it.
    store.dispatch(api.util.resetApiState());
  }
}

/** Draws the page of a job that is being opened: the rail stands, and the application brings the rest. */
export const drawOpening = (): Promise<string> => drawn(makeStore(new Map()), '/jobs/opening', <Coming />);
