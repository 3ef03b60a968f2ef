import 'reflect-metadata';
import '../kit/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router';
import { keepProgramHere } from '../client/program.ts';
import { router } from './router.tsx';
import { createStore } from './store.ts';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');

// Whichever page is opened first, the floor among them.
void keepProgramHere();

createRoot(root).render(
  <StrictMode>
    <Provider store={createStore()}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
