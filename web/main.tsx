import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/besley/wght.css';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { I18nProvider } from 'react-aria-components';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { App } from './App';
import { Refused } from './api/client';
import { takeGiven } from './api/given';
import { sessionQuery } from './api/queries';
import { YARD_LOCALE } from './kit/locale';
import { chooseScheme, chosenScheme, GlobalStyle } from './kit/theme';
import { UndoProvider } from './kit/Undo';

chooseScheme(chosenScheme());

const queries: QueryClient = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      staleTime: 15_000,
      retry: (count, error) => count < 2 && error instanceof Refused && error.mayPass,
    },
  },
  queryCache: new QueryCache({
    onError: (error) => {
      if (error instanceof Refused && error.problem.status === 401)
        queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
    },
  }),
});

takeGiven(queries);

const router = createBrowserRouter([{ path: '*', element: <App /> }]);

const root = document.getElementById('jardinier');
if (root) {
  createRoot(root).render(
    <QueryClientProvider client={queries}>
      <GlobalStyle />
      <I18nProvider locale={YARD_LOCALE}>
        <UndoProvider>
          <RouterProvider router={router} />
        </UndoProvider>
      </I18nProvider>
    </QueryClientProvider>,
  );
}
