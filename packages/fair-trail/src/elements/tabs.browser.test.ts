import { afterEach, expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import './index.ts';
import '../styles/index.css';

afterEach(() => document.querySelector('trail-tabs')?.remove());

test('two panels of one name have tabs of their own, each with its panel, and the name is reported', async () => {
  const onWarning = vi.fn((event: Event) => event.preventDefault());
  document.addEventListener('trail-warning', onWarning, { once: true });
  document.body.insertAdjacentHTML(
    'beforeend',
    `<trail-tabs label="Curlew">
      <section data-tab="sounds" data-label="Song">A rising trill</section>
      <section data-tab="sounds" data-label="Call">A falling whistle</section>
      <section data-tab="sounds-2" data-label="Wings">A hum</section>
    </trail-tabs>`,
  );
  for (const [name, text] of [
    ['Call', 'A falling whistle'],
    ['Wings', 'A hum'],
    ['Song', 'A rising trill'],
  ] as const) {
    await page.getByRole('tab', { name }).click();
    await expect.element(page.getByText(text)).toBeVisible();
    const shown = [...document.querySelectorAll('[role="tabpanel"]')].filter((one) => one.checkVisibility());
    expect(shown.map((one) => one.textContent.trim())).toEqual([text]);
  }
  const ids = [...document.querySelectorAll('trail-tabs [id]')].map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(onWarning.mock.calls[0]?.[0]).toMatchObject({ detail: { code: 'tab-repeated' } });
});
