import { commands, page, userEvent } from 'vitest/browser';
import type {} from './tap.ts';
import { browserHost } from './hosts/browser-host.ts';
import { navigation, type Navigation } from './navigation.ts';
import type { NavigationOptions } from './use.ts';
import { subjectBody, subjectScript, subjectStyle } from './subject.samples.ts';

declare global {
  interface Window {
    stopSubject?: () => void;
  }
}

const first = location.href;
const sheet = document.createElement('style');

/** Shows the subject, or one that was broken, in the page of the test. */
export async function showSubject(
  address: string,
  { body = subjectBody, script = subjectScript, style = subjectStyle } = {},
  options: NavigationOptions = {},
): Promise<Navigation> {
  await clearSubject();
  history.replaceState(null, '', address);
  sheet.textContent = style;
  document.head.append(sheet);
  document.body.innerHTML = body;
  const started = document.createElement('script');
  started.textContent = `{${script}}`;
  document.body.append(started);
  return navigation(browserHost({ page, userEvent, tap: commands.tap }), options);
}

export async function clearSubject(): Promise<void> {
  window.stopSubject?.();
  document.body.replaceChildren();
  history.replaceState(null, '', first);
  await page.viewport(1280, 800);
}

export const subjectPages = [
  { way: ['Today'], address: '/' },
  { way: ['Hides'], address: '/hides' },
  { way: ['Hides', 'Reedbed Hide'], address: '/hides/reedbed' },
  { way: ['Hides', 'Lantern Room'], address: '/hides/lantern' },
  { way: ['Tides'], address: '/tides' },
  { way: ['Visit'], address: '/visit' },
];
