import { StrictMode, type ReactElement } from 'react';
import { prerenderToNodeStream } from 'react-dom/static';
import { Provider } from 'react-redux';
import { Route, Routes, StaticRouter } from 'react-router';
import { api } from './app/api.ts';
import { fetchJob, jobsAhead } from './app/ahead.ts';
import { Coming } from './app/Coming.tsx';
import { Shell } from './app/Shell.tsx';
import { makeStore, type Store } from './app/store.ts';
import { rememberedView, type Units } from './app/view.ts';
import { JobsPlace } from './places/JobsPlace.tsx';
import { JobPage } from './stages/JobPage.tsx';

/**
 * Only links work until the application has taken the page over: pointers reach nothing else (`.drawn` in index.css), and
 * keys neither fields and buttons nor what is one by its role.
 */
const inert = (html: string): string =>
  html
    .replaceAll(/<(button|input|textarea|select|summary)\b/g, '<$1 inert')
    .replaceAll(' tabindex="0"', ' tabindex="-1"');

/** The shell of the application with a place in it. */
async function drawn(store: Store, address: string, place: ReactElement, route: string = address): Promise<string> {
  const { prelude } = await prerenderToNodeStream(
    <StrictMode>
      <Provider store={store}>
        <StaticRouter location={address}>
          <Routes>
            <Route element={<Shell />}>
              <Route path={route} element={place} />
            </Route>
          </Routes>
        </StaticRouter>
      </Provider>
    </StrictMode>,
    { progressiveChunkSize: Infinity },
  );
  let html = '';
  for await (const part of prelude) html += String(part);
  return `<div class="drawn">${inert(html)}</div>`;
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

/** What a page of a job is drawn from. */
export interface JobDrawn {
  /** The answers that it would ask for, by their address, its plan among them. */
  readonly given: Readonly<Record<string, unknown>>;
  readonly jobId: string;
  /** Its own address, with what is picked on it. */
  readonly address: string;
  /** The units that the device shows lengths in. */
  readonly units: Units;
}

/**
 * Draws a stage of a job on the server, so that its answers are there before any script has run.
 * @returns what stands in the root of the page; nothing where its address leads to another one
 */
export async function drawJob({ given, jobId, address, units }: JobDrawn): Promise<string | undefined> {
  const store = makeStore(new Map(Object.entries(given)), { ...rememberedView(), units });
  try {
    await fetchJob(store.dispatch, jobId);
    const page = await drawn(store, address, <JobPage />, '/jobs/:jobId/:stage');
    return page.includes('<h1') ? page : undefined;
  } finally {
    store.dispatch(api.util.resetApiState());
  }
}
