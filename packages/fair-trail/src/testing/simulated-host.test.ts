import { JSDOM } from 'jsdom';
import { afterEach } from 'vitest';
import { navigation, simulatedHost } from './index.ts';
import { subjectDocument } from './subject.samples.ts';
import { tenTests } from './ten-tests.samples.ts';

let dom: JSDOM | null = null;
afterEach(() => dom?.window.close());

export function simulate(address: string, html = subjectDocument()): JSDOM {
  dom = new JSDOM(html, {
    url: `https://marram.example${address}`,
    runScripts: 'dangerously',
    pretendToBeVisual: true,
  });
  return dom;
}

tenTests((address) => Promise.resolve(navigation(simulatedHost(simulate(address).window as unknown as Window))));
