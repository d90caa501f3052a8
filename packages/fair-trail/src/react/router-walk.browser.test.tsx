import { expect, inject, test } from 'vitest';
import { page } from 'vitest/browser';
import { lazyPage } from './page.ts';
import { mount } from './mount.samples.tsx';
import { borrowAddress, histories, Lab, LabPage, labSite, shownAddress, shownMarks } from './router-lab.samples.tsx';

declare module 'vitest' {
  interface ProvidedContext {
    walkSteps: number;
  }
}

borrowAddress();

/** One entry of the way, as the model sees it. */
interface Place {
  readonly url: string;
  scroll: number;
  /** The label of the link in the menu that the place was left by. */
  link: string | null;
}

const labels = ['Today', 'Hides', 'Tides', 'Form'];
const urlOf: Readonly<Record<string, string>> = { Today: '/', Hides: '/hides', Tides: '/tides', Form: '/form' };
const labelAt = (url: string) => labels.find((label) => urlOf[label] === url) ?? '';

/** Always the same numbers, so that what fails can be walked again. */
function createRandom(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) & 0x7f_ff_ff_ff;
    return Math.floor((state / 0x80_00_00_00) * below);
  };
}

/** A browser takes some two hundred changes of its history in ten seconds, and no more. */
const pace = () => new Promise((resolve) => setTimeout(resolve, 60));

const query = (selector: string) => document.querySelector<HTMLElement>(selector);

function menuLink(label: string): HTMLElement {
  const links = [...document.querySelectorAll<HTMLElement>('nav[aria-label="Main"] a')];
  const found = links.find((link) => link.textContent === label);
  if (!found) throw new Error(`no link to ${label}`);
  return found;
}

test.each(histories.slice(0, 2))(
  'after any step by %s, address, mark, title, page, focus and scroll agree',
  async (_, history) => {
    const random = createRandom(20_261_123);
    let way: Place[] = [{ url: '/', scroll: 0, link: null }];
    let index = 0;
    /** What focus is on: a link of the menu, the page's heading, or whatever a reload leaves. */
    let focused: string | null = null;
    const here = (): Place => way[index] ?? { url: 'nowhere', scroll: 0, link: null };

    /** Comes after a while, and each time again, so that it can be overtaken. */
    const slow = () =>
      lazyPage(async ({ signal }) => {
        await new Promise((resolve) => setTimeout(resolve, 30));
        signal.throwIfAborted();
        return LabPage;
      });
    const app = () => <Lab site={labSite} history={history()} pages={{ tides: slow() }} viewTransitions={false} />;
    let mounted = mount(app());

    const scrollAway = () => {
      const top = labelAt(here().url) === 'Form' ? 0 : random(4) * 150;
      window.scrollTo(0, top);
      here().scroll = top;
    };
    const click = (label: string) => {
      here().link = label;
      menuLink(label).click();
      // To where one is already: the page begins again, in the same place.
      if (here().url === urlOf[label]) way[index] = { url: here().url, scroll: 0, link: null };
      else way = [...way.slice(0, ++index), { url: urlOf[label] ?? '', scroll: 0, link: null }];
      focused = `heading ${label}`;
    };
    const go = async (delta: number) => {
      const target = index + delta;
      if (delta === 0 || !way[target]) return;
      // A history moves when it likes, and nothing here may happen before that.
      const moved = new Promise((resolve) => window.addEventListener('popstate', resolve, { once: true }));
      window.history.go(delta);
      await moved;
      const from = here().url;
      index = target;
      if (from === here().url) return;
      const { link, url } = here();
      focused = link === null ? `heading ${labelAt(url)}` : `link ${link}`;
      await expect.poll(shownAddress).toBe(url);
    };
    const refuse = async (leave: () => void) => {
      const field = query('main input');
      if (!field) return;
      await page.getByRole('textbox').fill('Ruddy');
      await pace();
      leave();
      await expect.poll(() => query('dialog[open]')).not.toBeNull();
      const stay = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Stay');
      stay?.click();
      await expect.poll(() => query('dialog[open]')).toBeNull();
      await expect.poll(shownAddress).toBe(here().url);
      expect(query('main input')).toBe(document.activeElement);
      await page.getByRole('textbox').fill('');
      focused = null;
      await pace();
    };
    const reload = async () => {
      window.dispatchEvent(new Event('pagehide'));
      mounted.unmount();
      focused = null;
      mounted = mount(app());
      await expect.poll(() => query('h1')).not.toBeNull();
    };

    const steps: (() => void | Promise<void>)[] = [
      () => click(labels[random(4)] ?? 'Today'),
      () => click(labels[random(4)] ?? 'Today'),
      () => go(-1),
      () => go(1),
      () => go(random(5) - 2),
      // Overtaken before it is there.
      () => {
        click('Tides');
        click(labels[random(2)] ?? 'Today');
      },
      () => refuse(() => menuLink('Hides').click()),
      () => (index > 0 && way[index - 1]?.url !== '/form' ? refuse(() => window.history.back()) : undefined),
      reload,
    ];

    for (let step = 0; step < inject('walkSteps'); step += 1) {
      // A browser keeps fifty entries, some of which are not this walk's.
      const kind = index > 25 ? 4 : random(steps.length);
      const before = here();
      if (random(2) === 0) scrollAway();
      await pace();
      await (index > 25 ? go(-3) : steps[kind]?.());
      const label = labelAt(here().url);
      const message = `step ${step}, kind ${kind}, from ${before.url}`;
      await expect.poll(() => query('h1')?.textContent, { message }).toBe(label);
      await expect.poll(() => document.title, { message }).toBe(`${label} · Lab`);
      expect([shownAddress(), shownMarks()], message).toEqual([here().url, [label]]);
      await expect.poll(() => Math.abs(window.scrollY - here().scroll), { message }).toBeLessThan(2);
      await expect
        .poll(() => focused === null || focusNow() === focused, { message: `${message}: ${focused}` })
        .toBe(true);
    }
  },
  3_600_000,
);

function focusNow(): string {
  const { activeElement } = document;
  return `${activeElement?.localName === 'h1' ? 'heading' : 'link'} ${activeElement?.textContent ?? ''}`;
}
