import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/besley/wght.css';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { App } from './App';
import { Refused } from './api/client';
import { sessionQuery } from './api/queries';
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

const root = document.getElementById('jardinier');
if (root) {
  createRoot(root).render(
    <QueryClientProvider client={queries}>
      <GlobalStyle />
      <BrowserRouter>
        <UndoProvider>
          <App />
        </UndoProvider>
      </BrowserRouter>
    </QueryClientProvider>,
  );
}
