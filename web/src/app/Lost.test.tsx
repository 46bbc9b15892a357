import { render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { expect, test } from 'vitest';
import { Lost } from './Lost.tsx';

test.each([
  ['Chromium', new TypeError('Failed to fetch dynamically imported module: /assets/JobPage.js'), true],
  ['Firefox', new TypeError('error loading dynamically imported module: /assets/JobPage.js'), true],
  ['Safari', new TypeError('Importing a module script failed.'), true],
  ['a screen that broke', new TypeError('x is undefined'), false],
])('%s: what could not be fetched can be loaded again, and is not called broken', async (_, error, isNotFetched) => {
  const router = createMemoryRouter([
    {
      path: '/',
      Component: () => {
        throw error;
      },
      ErrorBoundary: Lost,
    },
  ]);
  render(<RouterProvider router={router} />);
  expect(
    await screen.findByRole('heading', {
      name: isNotFetched ? 'This screen could not be fetched' : 'This screen stopped working',
    }),
  ).toBeDefined();
  expect(screen.queryByRole('button', { name: 'Load the page again' }) !== null).toBe(isNotFetched);
});
