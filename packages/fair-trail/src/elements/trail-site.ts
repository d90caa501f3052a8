import { siteOf } from '../core/site/load.ts';
import { currentSite, onSiteReplaced } from '../core/site/replace-site.ts';
import type { CompiledSite } from '../core/site/compiled.ts';
import type { SiteDefinition } from '../core/site/definition.ts';
import type { Audience } from '../core/site/entry.ts';
import { locate, samePosition, type Position } from '../core/site/locate.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { Site } from '../core/site/site.ts';
import { warning, type Warning } from '../core/warnings.ts';
import type { Wording } from '../core/wording.ts';
import type { Arrival } from '../dom/arrivals.ts';
import type { GivenAddress } from '../dom/given-address.ts';
import { logWarning } from '../dom/log-warning.ts';
import type { NavigateOptions } from '../dom/router-interface.ts';
import { pageHead, openGivenTrail, sayScripted } from '../parts/given-trail.ts';
import { checkRecords } from '../parts/name-checks.ts';
import { surroundingsOf, type Surroundings, type TrailLocation } from '../parts/surroundings.ts';
import { readAttributes } from './attributes.ts';
import { BaseElement } from './base-element.ts';
import { offerTrail, type TrailSource } from './document-trails.ts';
import { pagePath } from './list-site.ts';
import { addressOfWindow, followAddress, goTo, whenRestored } from './page-address.ts';
import { takeProperties } from './properties.ts';

const attributeNames = ['src', 'base', 'url', 'audience', 'arrival'];

const propertyNames = ['site', 'audience', 'records', 'badges', 'wording', 'url', 'arrival'] as const;

/** What an app may give a `trail-site` as its site: JSON of a site file is checked first. */
export type GivenSite = Site | CompiledSite | SiteDefinition;

/**
 * The site of the elements in it, or of all elements of the document that are in none.
 *
 * The site is the property `site`; or JSON in a `script` element of the type `application/json` within it; or the file that
 * the attribute `src` names. The attribute `base` is the path that the site lies under,
 * as a URL reference. Where the visitor is, is the address of the page, or the attribute or property `url`.
 *
 * Events: `trail-action` (with the `action` of a menu's button), `trail-navigate` (before an address is gone to by a script;
 * prevent its default to go there by a router), `trail-warning` (prevent its default to keep it from the console).
 *
 * @example
 * <trail-site src="/site.json" audience="ringer">
 *   <trail-bar></trail-bar>
 * </trail-site>
 */
export class TrailSite extends BaseElement implements TrailSource {
  static readonly observedAttributes = attributeNames;

  #listeners = new Set<() => void>();
  #stop: (() => void) | null = null;
  #source: unknown = null;
  #loaded: Site | null = null;
  #surroundings: Surroundings | null = null;
  #location: TrailLocation | null = null;
  #address: GivenAddress | null = null;
  readonly #given: Partial<Record<(typeof propertyNames)[number], unknown>> = {};

  /** What `defineSite` or `loadSite` returns, a compiled site, or the content of a site file. */
  get site(): GivenSite | null {
    return (this.#given.site as GivenSite | undefined) ?? this.#loaded;
  }
  set site(site: GivenSite | null | undefined) {
    this.#set('site', site ?? undefined);
  }

  /** The audiences that the visitor is in, or `unknown`. As an attribute: their names, with spaces between them. */
  get audience(): Audience {
    const written = this.getAttribute('audience');
    return (
      (this.#given.audience as Audience | undefined) ??
      (written === 'unknown' ? 'unknown' : (written ?? '').split(/\s+/u).filter(Boolean))
    );
  }
  set audience(audience: Audience | null | undefined) {
    this.#set('audience', audience ?? undefined);
  }

  get records(): SiteRecords | undefined {
    return this.#given.records as SiteRecords | undefined;
  }
  set records(records: SiteRecords | undefined) {
    this.#set('records', records);
  }

  get badges(): Badges | undefined {
    return this.#given.badges as Badges | undefined;
  }
  set badges(badges: Badges | undefined) {
    this.#set('badges', badges);
  }

  get wording(): Partial<Wording> | undefined {
    return this.#given.wording as Partial<Wording> | undefined;
  }
  set wording(wording: Partial<Wording> | undefined) {
    this.#set('wording', wording);
  }

  /** The current address, where a router of the app decides it. Undefined: the address of the page. */
  get url(): string | undefined {
    return (this.#given.url as string | undefined) ?? this.getAttribute('url') ?? undefined;
  }
  set url(url: string | undefined) {
    this.#set('url', url);
  }

  /** With `url`: how the reader is taken to a new page. Default: `focus`. */
  get arrival(): Arrival {
    return (this.#given.arrival as Arrival | undefined) ?? (this.getAttribute('arrival') as Arrival | null) ?? 'focus';
  }
  set arrival(arrival: Arrival | undefined) {
    this.#set('arrival', arrival);
  }

  get surroundings(): Surroundings | null {
    const site = this.#loaded;
    if (!site) return null;
    const { audience, records, badges, wording } = this;
    checkRecords({ site, warn: this.#warn }, records);
    return (this.#surroundings ??= surroundingsOf(
      { site, audience, records, badges, wording, onAction: this.#act, onWarning: this.#warn },
      null,
      this.#navigate,
    ));
  }

  get location(): TrailLocation | null {
    const window = this.ownerDocument.defaultView;
    if (!this.#loaded || !window) return null;
    const url = this.url ?? addressOfWindow(window);
    const last = this.#location;
    if (last?.url === url) return last;
    const position = positionOf(this.#loaded, url, this.url === undefined);
    this.#location = { url, position: last && samePosition(last.position, position) ? last.position : position };
    return this.#location;
  }

  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  }

  connectedCallback(): void {
    takeProperties(this, propertyNames);
    if (this.#stop) return;
    const { ownerDocument: document } = this;
    const window = document.defaultView;
    if (!window) return;
    readAttributes(this, {}, attributeNames, this.#warn);
    const ends = [
      offerTrail(document, this),
      sayScripted(),
      followAddress(window, this.#look),
      whenRestored(window, this.#look),
      onSiteReplaced(this.#follow),
    ];
    this.#stop = () => {
      for (const end of ends) end();
      this.#address?.end();
      this.#address = null;
      this.#stop = null;
    };
    // The JSON in it may come after its start tag.
    if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', this.#load, { once: true });
    else this.#load();
  }

  disconnectedCallback(): void {
    // What is only moved is connected again before this is looked at.
    queueMicrotask(() => {
      if (!this.isConnected) this.#stop?.();
    });
  }

  /** Moved within the document, it is what it was. */
  connectedMoveCallback(): void {
    // There is nothing to do.
  }

  attributeChangedCallback(name: string): void {
    if (name === 'src') this.#load();
    else this.#change();
  }

  #set(name: (typeof propertyNames)[number], value: unknown): void {
    if (this.#given[name] === value) return;
    this.#given[name] = value;
    if (name === 'site') this.#load();
    else this.#change();
  }

  readonly #load = (): void => {
    if (!this.#stop) return;
    const script = this.querySelector(':scope > script[type="application/json"]');
    const source = this.#given.site ?? this.getAttribute('src') ?? script;
    if (source === null || source === this.#source) return;
    this.#source = source;
    const name = typeof source === 'string' ? source : 'The site of a trail-site';
    const report = (error: unknown) => this.#source === source && this.#warn(warning('site-not-loaded', name, error));
    if (typeof source === 'object' && isLoaded(source)) {
      try {
        this.#take(currentSite(siteOf(source)));
      } catch (error) {
        report(error);
      }
      return;
    }
    readSite(source, this.baseURI, this.#base()).then((site) => this.#source === source && this.#take(site), report);
  };

  /** While an app is developed, its site file changes. */
  readonly #follow = (): void => {
    const source = this.#source;
    if (typeof source === 'object' && source !== null && isLoaded(source)) this.#take(currentSite(siteOf(source)));
  };

  /** The path that the site lies under; the attribute may be relative to the page. */
  #base(): string | null {
    const base = this.getAttribute('base');
    return base === null ? null : new URL(base, this.baseURI).pathname;
  }

  #take(site: Site): void {
    this.#loaded = site;
    this.#location = null;
    this.#change();
  }

  readonly #look = (): void => this.#change(false);

  #change(isAll = true): void {
    if (isAll) this.#surroundings = null;
    for (const listener of this.#listeners) listener();
    this.#showAddress();
  }

  /** Where a router of the app changes the address, the reader is taken to each new page. */
  #showAddress(): void {
    const { surroundings, location } = this;
    if (this.url === undefined || !surroundings || !location || !this.#stop) return;
    this.#address ??= openGivenTrail(this.arrival);
    const { url } = location;
    // Once the elements have been drawn, which is in a microtask.
    queueMicrotask(() => this.#address?.show(url, pageHead(surroundings, location)));
  }

  readonly #act = (action: string): void => {
    this.dispatchEvent(new CustomEvent('trail-action', { bubbles: true, composed: true, detail: { action } }));
  };

  readonly #warn = (given: Warning): void => {
    const init = { bubbles: true, composed: true, cancelable: true, detail: given };
    if (this.dispatchEvent(new CustomEvent('trail-warning', init))) logWarning(given);
  };

  readonly #navigate = (url: string, options: NavigateOptions = {}): void => {
    const { defaultView: window } = this.ownerDocument;
    const init = { bubbles: true, composed: true, cancelable: true, detail: { url, ...options } };
    if (!this.dispatchEvent(new CustomEvent('trail-navigate', init)) || !window) return;
    goTo(window, url, options.history === 'replace');
    this.#change(false);
  };
}

/** @param isOfFile whether the address may be that of a file, with what servers leave out of it */
function positionOf(site: Site, url: string, isOfFile: boolean): Position {
  const position = locate(site, url);
  if (position.status === 'exact' || !isOfFile) return position;
  const [path = '', search = ''] = url.split(/(?=[?#])/u);
  const page = locate(site, `${pagePath(path)}${search}`);
  return page.status === 'exact' ? page : position;
}

/** Whether it is a site already, or compiled: then nothing has to be checked. */
function isLoaded(source: object): source is Site | CompiledSite {
  return 'compiled' in source || ('find' in source && typeof source.find === 'function');
}

/**
 * @param source the content of a site file, an element that holds it as JSON, or the address of such a file
 * @param base the path that the site lies under; a compiled site knows it already
 */
async function readSite(source: unknown, pageAddress: string, base: string | null): Promise<Site> {
  let value = source;
  if (typeof source === 'string') {
    const response = await fetch(new URL(source, pageAddress));
    if (!response.ok) throw new Error(`${response.status} ${response.statusText}`);
    value = await response.json();
  } else if (source !== null && typeof source === 'object' && 'textContent' in source) {
    value = JSON.parse(String(source.textContent));
  }
  if (typeof value !== 'object' || value === null) throw new TypeError('It is no object.');
  if (isLoaded(value)) return siteOf(value);
  // Only what comes unchecked needs the checks, which are most of the code.
  const { defineSite } = await import('../core/site/define.ts');
  return defineSite(value as SiteDefinition, { ...(base !== null && { base }) });
}
