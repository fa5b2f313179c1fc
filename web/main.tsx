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
import { GlobalStyle } from './app/theme';
import { store } from './app/world';

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <StyleSheetManager>
          <GlobalStyle />
          <BrowserRouter>
            <App />
          </BrowserRouter>
        </StyleSheetManager>
      </Provider>
    </StrictMode>,
  );
