import '../kit/styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { OwnProgram } from './OwnProgram.tsx';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');

// Opened once, it opens without the server too.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  navigator.serviceWorker.register('/ownServiceWorker.js', { scope: '/own' }).catch(() => undefined);

createRoot(root).render(
  <StrictMode>
    <OwnProgram />
  </StrictMode>,
);
