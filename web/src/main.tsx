import '@fontsource/atkinson-hyperlegible/400.css';
import '@fontsource/atkinson-hyperlegible/700.css';
import '@fontsource/barlow-condensed/500.css';
import '@fontsource/barlow-condensed/600.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import './app/global.css';
import { router } from './app/router';
import { store } from './app/store';
import { Themed } from './app/Themed';
import { Door } from './door/Door';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <Themed>
        <Door>
          <RouterProvider router={router} />
        </Door>
      </Themed>
    </Provider>
  </StrictMode>,
);
