import { DocumentReader } from './page-reader.ts';

declare global {
  interface Window {
    /** Put into a page that is driven from outside. */
    fairTrailTesting?: DocumentReader;
  }
}

window.fairTrailTesting ??= new DocumentReader(document);
