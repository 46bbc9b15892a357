import '@fontsource/barlow-semi-condensed/400.css';
import '@fontsource/barlow-semi-condensed/500.css';
import '@fontsource/barlow-semi-condensed/600.css';
import '@fontsource/ibm-plex-mono/500.css';
import '@fontsource/ibm-plex-mono/600.css';
import './index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { jobsAhead } from './app/ahead.ts';
import { givenOf } from './app/given.ts';
import { makeRouter } from './app/router.tsx';
import { keepInStep, makeStore } from './app/store.ts';

const given = givenOf(document);
const store = makeStore(given);
keepInStep(store);

function start(): void {
  const root = document.getElementById('root');
  if (!root) return;
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <RouterProvider router={makeRouter(store)} />
      </Provider>
    </StrictMode>,
  );
}

// A list that came with the page stands on it already, and is not taken off again to be fetched.
const lists = ['/', '/jobs'].includes(location.pathname) ? jobsAhead(store.dispatch) : undefined;
if (lists && given.size > 0) void lists.then(start);
else start();
