import './app/policy';
import './preload';
import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-600.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css';
import '@fontsource/atkinson-hyperlegible-mono/latin-600.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { BrowserRouter } from 'react-router';
import { StyleSheetManager } from 'styled-components';
import { App } from './app/App';
import { Boundary } from './app/Boundary';
import { setTheme, themeNow } from './app/screen';
import { GlobalStyle } from './app/theme';
import { store } from './app/world';

// After the first drawing: what is fetched for a day without a network is not in its way.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  addEventListener('load', () => void navigator.serviceWorker.register('/sw.js'));

setTheme(themeNow());
const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <StyleSheetManager>
          <GlobalStyle />
          <Boundary what="Cabanon">
            <BrowserRouter>
              <App />
            </BrowserRouter>
          </Boundary>
        </StyleSheetManager>
      </Provider>
    </StrictMode>,
  );
