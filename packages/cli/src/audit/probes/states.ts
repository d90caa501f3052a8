import { contrastMessage, lowContrast } from 'fair-trail/internal/audit';
import type { CDPSession } from 'playwright-core';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import { isMenuClosed, openFirst } from './open-first.ts';
import type { AuditedPage } from '../audited-page.ts';

export const stateLowContrast: Probe = {
  id: 'state-low-contrast',
  title: 'A label has too little contrast while hovered, focused or pressed.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.3'],
  affects: 'People with low vision: the label fades just when they are about to press it.',
  remedy: 'Choose colors for this state with a contrast of at least 4.5:1, as at rest.',
  standard: lowContrast.standard,
};

const states: readonly (readonly string[])[] = [['hover'], ['focus', 'focus-visible'], ['hover', 'active']];

/** More links of one menu are drawn by the same rules. */
const mostOfMenu = 3;

/** Forces each state upon some links of each menu, and reads what is drawn then. */
async function attempt(used: AuditedPage): Promise<void> {
  if (!used.isWanted(stateLowContrast)) return;
  const links = used.report.menus
    .filter(({ fingerprint }) => used.options.isNew(`states ${fingerprint}`))
    .flatMap((menu) => {
      const drawn = menu.links.filter(({ isDrawn }) => isDrawn);
      const current = drawn.filter(({ isCurrent }) => isCurrent).slice(0, 1);
      return [...new Set([...current, ...drawn.slice(0, mostOfMenu)])];
    });
  const isClosed = isMenuClosed(used) && used.options.isNew('states of an open menu');
  if (links.length === 0 && !isClosed) return;
  await used.reload();
  const session = await used.untouched.context().newCDPSession(used.untouched);
  try {
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    for (const link of links) await lookAtRest(used, session, link);
    if (isClosed && (await openFirst(used))) {
      const shown = await used.call('shownAddresses');
      for (const link of shown.slice(0, mostOfMenu)) await lookAtRest(used, session, link);
    }
  } finally {
    await session.detach().catch(() => undefined);
  }
}

/** A label that is too pale at rest is reported for that. */
async function lookAtRest(
  used: AuditedPage,
  session: CDPSession,
  link: { readonly selector: string; readonly html: string },
): Promise<void> {
  const atRest = await used.call('contrastOf', link.selector);
  if (atRest && atRest.ratio >= atRest.least) await lookAt(used, session, link);
}

async function lookAt(
  used: AuditedPage,
  session: CDPSession,
  link: { readonly selector: string; readonly html: string },
): Promise<void> {
  const nodeId = await nodeOf(session, link.selector);
  if (nodeId === null) return;
  for (const state of states) {
    await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [...state] });
    await used.call('finishMotion');
    const found = await used.call('contrastOf', link.selector);
    // The browser's own red for a link that is being pressed is no one's choice.
    if (found && found.ratio < found.least && !(state.includes('active') && found.isBrowsersRed)) {
      await used.addFinding(stateLowContrast, link, {
        state: state.at(-1) ?? 'hover',
        message: contrastMessage(found),
      });
    }
    await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [] });
  }
}

async function nodeOf(session: CDPSession, selector: string): Promise<number | null> {
  await session.send('DOM.getDocument', { depth: 0 });
  // By the page's own script: a selector of the protocol does not get into shadow roots.
  const expression = `window.fairTrailAudit.elementAt(${JSON.stringify(selector)})`;
  const { result } = await session.send('Runtime.evaluate', { expression });
  if (result.objectId === undefined) return null;
  const { nodeId } = await session.send('DOM.requestNode', { objectId: result.objectId });
  return nodeId === 0 ? null : nodeId;
}

export const statesOfLinks: Attempt = {
  isPossible: ({ report }) => report.menus.length > 0 || report.hiddenMenus.length > 0,
  name: 'states',
  probes: [stateLowContrast],
  attempt,
};
