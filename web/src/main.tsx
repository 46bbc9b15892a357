import '@fontsource/barlow-semi-condensed/400.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import '@fontsource/ibm-plex-mono/500.css';
import '@fontsource/ibm-plex-mono/600.css';
import './index.css';
import { startTransition, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { jobsAhead } from './app/ahead.ts';
import { givenOf } from './app/given.ts';
import { nextTask } from './app/nextTask.ts';
import { makeRouter } from './app/router.tsx';
import { keepInStep, makeStore, type Store } from './app/store.ts';

type Router = ReturnType<typeof makeRouter>;

function show(root: HTMLElement, store: Store, router: Router): void {
  // As a transition it is rendered in slices, between which a finger is heard.
  startTransition(() =>
    createRoot(root).render(
      <StrictMode>
        <Provider store={store}>
          <RouterProvider router={router} />
        </Provider>
      </StrictMode>,
    ),
  );
}

/** Done when the place whose address was opened has its script and its answers. */
const whole = (router: Router): Promise<void> =>
  new Promise((resolve) => {
    if (router.state.initialized) return resolve();
    const stop = router.subscribe(({ initialized }) => {
      if (!initialized) return;
      stop();
      resolve();
    });
  });

async function start(root: HTMLElement): Promise<void> {
  // Loading the script was a long task already.
  await nextTask();
  const given = givenOf(document);
  const store = makeStore(given);
  keepInStep(store);
  const cameDrawn = given.size > 0;
  const router = makeRouter(store, cameDrawn);
  // What came drawn stands on the page already, and is not taken off again to be fetched.
  const lists = ['/', '/jobs'].includes(location.pathname) ? jobsAhead(store.dispatch) : undefined;
  await (cameDrawn ? Promise.all([lists, whole(router)]) : nextTask());
  show(root, store, router);
}

const root = document.getElementById('root');
if (root) void start(root);
