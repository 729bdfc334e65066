import '@fontsource-variable/source-code-pro/wght.css';
import '@fontsource-variable/source-sans-3/wght.css';
import '@fontsource-variable/source-serif-4/wght.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { fetchPagesOnce } from './frame/fetch-pages';
import { keepPage } from './offline/register';
import { followRouter } from './page/on-the-way';
import { router, routes } from './routes';
import { store } from './store/store';
import { GlobalStyle } from './theme/global-style';
import { currentTheme, showTheme } from './theme/theme';

followRouter(router);
showTheme(currentTheme());
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <GlobalStyle />
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);

window.addEventListener('load', () => void fetchPagesOnce(import.meta.url, routes).then(keepPage));
