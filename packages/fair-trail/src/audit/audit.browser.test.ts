import { afterEach, describe, expect, test } from 'vitest';
import { audit } from './audit.ts';
import { rules } from './rules/all-rules.ts';
import { corpus } from './corpus.samples.ts';
import type { Twins } from './corpus-parts.samples.ts';

const frames: HTMLIFrameElement[] = [];
afterEach(() => {
  for (const frame of frames.splice(0)) frame.remove();
});

/** A page of its own, in standards mode. */
async function pageOf(body: string, head: string): Promise<Document> {
  const frame = document.createElement('iframe');
  frame.width = '1280';
  frame.height = '800';
  frame.srcdoc = `<!doctype html><html lang="en"><head>${head}</head><body>${body}</body></html>`;
  frames.push(frame);
  const loaded = new Promise((resolve) => frame.addEventListener('load', resolve, { once: true }));
  document.body.append(frame);
  await loaded;
  if (!frame.contentDocument) throw new Error('The page has not been loaded.');
  return frame.contentDocument;
}

const usualHead = '<title>Hides</title>';
const usualUrl = 'https://marram.example/hides';

async function findingsIn(twins: Twins, which: 'broken' | 'sound', only?: readonly string[]) {
  const { head = usualHead, soundHead = head } = twins;
  const page = await pageOf(twins[which], which === 'sound' ? soundHead : head);
  return audit(page, { url: twins.url ?? usualUrl, ...(only && { only }) });
}

describe('what is broken is found, and nothing else', () => {
  test.each(corpus)('$rule: $style', async (twins) => {
    const { findings, notChecked } = await findingsIn(twins, 'broken');
    expect(notChecked).toEqual([]);
    const found = findings.filter(({ code }) => code === twins.rule);
    expect(found).toHaveLength(twins.count ?? 1);
  });
});

describe('its twin is sound', () => {
  test.each(corpus)('$rule: $style', async (twins) => {
    const { findings } = await findingsIn(twins, 'sound', [twins.rule]);
    expect(findings).toEqual([]);
  });
});

test('every rule has a page with its defect', () => {
  const tried = new Set(corpus.map(({ rule }) => rule));
  // A page without a language is no page of this corpus: it is tried below.
  const others = rules.map(({ id }) => id).filter((id) => id !== 'page-without-language');
  expect(others.filter((id) => !tried.has(id))).toEqual([]);
});

test('a page without a language is found', async () => {
  const page = await pageOf('<nav><a href="/">Today</a></nav>', usualHead);
  expect(audit(page, { url: usualUrl, only: ['page-without-language'] }).findings).toEqual([]);
  page.documentElement.removeAttribute('lang');
  expect(audit(page, { url: usualUrl, only: ['page-without-language'] }).findings).toHaveLength(1);
});

test('only what is sure is an error', async () => {
  for (const twins of corpus) {
    const { findings } = await findingsIn(twins, 'broken');
    for (const { severity, certainty } of findings) if (severity === 'error') expect(certainty).toBe('sure');
  }
});

test('the selector finds the element, also in a shadow root, and the tag is cut where it is long', async () => {
  const page = await pageOf('<div><nav></nav><site-menu></site-menu></div><main><h1>Hides</h1></main>', usualHead);
  const host = page.querySelector('site-menu');
  const shadow = host?.attachShadow({ mode: 'open' });
  if (!shadow) throw new Error('There is no host.');
  shadow.innerHTML = `<nav><a href="/">Today</a><a href="/x" title=""></a><a href="/y">${'y'.repeat(900)}</a></nav>`;
  const { findings } = audit(page, { url: usualUrl, only: ['link-without-name'] });
  expect(findings).toHaveLength(1);
  expect(findings[0]?.selector).toBe('body > div > site-menu >>> nav > a:nth-of-type(2)');
  expect(findings[0]?.html).toBe('<a href="/x" title=""></a>');
});

test('a shadow root that has come since the last audit is looked into, however soon that was', async () => {
  const page = await pageOf('<site-menu></site-menu><main><h1>Hides</h1></main>', usualHead);
  const nameless = () => audit(page, { url: usualUrl, only: ['link-without-name'] }).findings.length;
  expect(nameless()).toBe(0);
  const shadow = page.querySelector('site-menu')?.attachShadow({ mode: 'open' });
  if (shadow) shadow.innerHTML = '<nav><a href="/"></a></nav>';
  expect(nameless()).toBe(1);
});

test('what is read is no menu, however many links it has', async () => {
  const links = Array.from({ length: 30 }, (_, index) => `<li><a href="#" >Bird ${index}</a></li>`).join('');
  const page = await pageOf(
    `<main><h1>Birds</h1><ul>${links}</ul><p><a href="#">a</a> <a href="#">b</a></p></main>`,
    usualHead,
  );
  expect(audit(page, { url: usualUrl }).findings).toEqual([]);
});

test('an unknown rule is reported, with the known ones', () => {
  expect(() => audit(document, { only: ['no-such-rule'] })).toThrow(
    /There is no rule "no-such-rule".*link-without-name/u,
  );
});

test('a rule that fails by itself is not checked, and the others are', async () => {
  const page = await pageOf('<nav><a href="/"></a></nav>', '');
  Object.defineProperty(page, 'title', {
    get: () => {
      throw new Error('no title here');
    },
  });
  const { findings, notChecked } = audit(page, { url: usualUrl, only: ['page-without-title', 'link-without-name'] });
  expect(notChecked).toEqual([{ rule: 'page-without-title', reason: 'It failed: no title here' }]);
  expect(findings.map(({ code }) => code)).toContain('link-without-name');
});
