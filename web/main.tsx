import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/besley/wght.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { I18nProvider } from 'react-aria-components';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { takeGiven } from './api/given';
import { keepAnswer, queries } from './api/kept';
import { YARD_LOCALE } from './kit/locale';
import { GlobalStyle, showScheme } from './kit/theme';
import { UndoProvider } from './kit/Undo';
import { routes } from './routes';
import { chosenScheme } from './shell/scheme';

showScheme(chosenScheme());

takeGiven(queries, keepAnswer);

const router = createBrowserRouter(routes);

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
