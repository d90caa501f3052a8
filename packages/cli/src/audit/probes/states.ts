import { contrastMessage, lowContrast } from 'fair-trail/internal/audit';
import type { CDPSession } from 'playwright-core';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const stateLowContrast: Probe = {
  id: 'state-low-contrast',
  title: 'A label has too little contrast while it is hovered, focused or pressed.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.3'],
  hurts: 'People with low vision: the label goes pale just when they are about to press it.',
  remedy: 'Choose the colors of this state so that they differ by 4.5 : 1, as at rest.',
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
  if (links.length === 0) return;
  await used.reload();
  const session = await used.page.context().newCDPSession(used.page);
  try {
    await session.send('DOM.enable');
    await session.send('CSS.enable');
    for (const link of links) {
      const atRest = await used.call('contrastOf', link.selector);
      if (!atRest || atRest.ratio < atRest.least) continue;
      await lookAt(used, session, link);
    }
  } finally {
    await session.detach().catch(() => undefined);
  }
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
    // The browser's own red for a link that is being pressed is nobody's choice.
    if (found && found.ratio < found.least && !(state.includes('active') && found.isBrowsersRed)) {
      await used.tell(stateLowContrast, link, { state: state.at(-1) ?? 'hover', message: contrastMessage(found) });
    }
    await session.send('CSS.forcePseudoState', { nodeId, forcedPseudoClasses: [] });
  }
}

async function nodeOf(session: CDPSession, selector: string): Promise<number | null> {
  // What is in a shadow root, this protocol does not find by a selector.
  if (selector.includes('>>>')) return null;
  const { root } = await session.send('DOM.getDocument', { depth: 0 });
  const { nodeId } = await session.send('DOM.querySelector', { nodeId: root.nodeId, selector });
  return nodeId === 0 ? null : nodeId;
}

export const statesOfLinks: Attempt = { name: 'states', probes: [stateLowContrast], attempt };
