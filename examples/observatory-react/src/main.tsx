import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app.tsx';
import 'fair-trail/styles.css';
import './observatory.css';
import './pages.css';
import './form.css';

const container = document.getElementById('app');
if (!container) throw new Error('The page has no element with the id "app".');
createRoot(container).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
