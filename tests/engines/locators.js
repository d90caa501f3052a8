/* global window */
/**
 * The side of the provider that runs in the page of a test: what is acted on is kept by number, and the browser is driven to it
 * from outside.
 */
import {
  Locator,
  ensureAwaited,
  getByAltTextSelector,
  getByLabelSelector,
  getByPlaceholderSelector,
  getByRoleSelector,
  getByTestIdSelector,
  getByTextSelector,
  getByTitleSelector,
  selectorEngine,
} from '@vitest/browser/locators';
import { page, server } from 'vitest/browser';
import { __INTERNAL } from 'vitest/internal/browser';

/** @type {Element[]} */
const kept = (window.fairTrailKept ??= []);

window.fairTrailFind = (selector) => new DrivenLocator(selector).query();

class DrivenLocator extends Locator {
  constructor(selector, container) {
    super();
    this.selector = selector;
    this._container = container;
  }

  locator(selector) {
    return new DrivenLocator(`${this.selector} >> ${selector}`, this._container);
  }

  elementLocator(element) {
    return new DrivenLocator(selectorEngine.generateSelectorSimple(element), element);
  }

  click(options) {
    return this.#act('__vitest_click', options);
  }

  dblClick(options) {
    return this.#act('__vitest_dblClick', options);
  }

  hover(options) {
    return this.#act('__vitest_hover', options);
  }

  unhover() {
    return ensureAwaited((error) => trigger('__vitest_unhover', [], error));
  }

  fill(text, options) {
    return this.#act('__vitest_fill', text, options);
  }

  clear(options) {
    return this.#act('__vitest_fill', '', options);
  }

  selectOptions(value, options) {
    return this.#act('__vitest_selectOptions', value, options);
  }

  #act(command, ...given) {
    return ensureAwaited(async (error) => {
      // An element that was given is that one, whatever else its selector fits.
      const element = this._container?.isConnected ? this._container : await this.findElement(given.at(-1));
      kept.push(element);
      return trigger(command, [kept.length - 1, ...given], error);
    });
  }
}

function trigger(command, given, error) {
  return window.__vitest_browser_runner__.commands.triggerCommand(command, given, error);
}

const made = (selectorOf) => (text, options) => new DrivenLocator(selectorOf(text, options));

page.extend({
  getByLabelText: made(getByLabelSelector),
  getByRole: made(getByRoleSelector),
  getByAltText: made(getByAltTextSelector),
  getByPlaceholder: made(getByPlaceholderSelector),
  getByText: made(getByTextSelector),
  getByTitle: made(getByTitleSelector),
  getByTestId: (id) => new DrivenLocator(getByTestIdSelector(server.config.browser.locators.testIdAttribute, id)),
  elementLocator: (element) => new DrivenLocator(selectorEngine.generateSelectorSimple(element), element),
});
__INTERNAL._createLocator = (selector) => new DrivenLocator(selector);
