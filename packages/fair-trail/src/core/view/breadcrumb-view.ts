import type { Breadcrumb } from '../site/breadcrumbs.ts';
import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/**
 * The way to the current page, after the breadcrumb pattern of the ARIA Authoring Practices.
 *
 * @returns null where there is nothing to go back to: on the home page itself, and where there are no steps
 */
export function breadcrumbView(steps: readonly Breadcrumb[], wording: Wording): ViewElement | null {
  if (steps.every((step) => step.current)) return null;
  const items = steps.map((step) =>
    element('li', { class: 'ft-breadcrumb' }, [stepView(step)], { key: step.entry.id }),
  );
  const list = element('ol', { class: 'ft-breadcrumb-list', role: 'list' }, items);
  return element('nav', { class: 'ft-breadcrumbs', 'aria-label': wording.breadcrumbs }, [list]);
}

function stepView({ label, href, current }: Breadcrumb): ViewElement {
  if (current) return element('span', { class: 'ft-breadcrumb-text', 'aria-current': 'page' }, [label]);
  if (href === null) return element('span', { class: 'ft-breadcrumb-text' }, [label]);
  return element('a', { class: 'ft-breadcrumb-link', href }, [label]);
}
