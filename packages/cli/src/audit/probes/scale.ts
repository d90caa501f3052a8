import type { Attempt } from '../attempt.ts';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';
import { labelsCut, labelsOverlap, menuBesideWindow } from './fit.ts';

export const textNotScaled: Probe = {
  id: 'text-not-zoomed',
  title: 'A label does not reach twice its size when the page is zoomed.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.4'],
  affects: 'People with low vision: they zoom in, and the text shrinks with the window.',
  remedy: 'Use rem or em for text sizes, and mix in only a share of the window: clamp(1rem, 0.8rem + 1vw, 1.5rem).',
  standard: 'WCAG 2.2, 1.4.4 Resize Text, failure F94',
};

export const orientationLocked: Probe = {
  id: 'orientation-locked',
  title: 'The page is rotated in a portrait window.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.3.4'],
  affects: 'People whose device is mounted on a wheelchair cannot turn it.',
  remedy: 'Lay the page out in both orientations, and do not rotate it with a stylesheet.',
  standard: 'WCAG 2.2, 1.3.4 Orientation, failure F97',
};

const [wide, narrow] = [1280, 320];

/** What enlarging a window of 1280 CSS pixels four times makes of it is one of 320: the text should be larger then. */
async function attempt(used: AuditedPage): Promise<void> {
  if (
    !used.options.isWidest ||
    !used.isWanted(textNotScaled, orientationLocked, labelsCut, labelsOverlap, menuBesideWindow)
  )
    return;
  await used.reload();
  const { size } = used;
  try {
    await used.resize(wide, size.height);
    const before = await used.call('fontSizes');
    const growth = new Map(before.map(({ number }) => [number, 1]));
    const known = new Set((await allBroken(used)).map(({ selector }) => selector));
    const wasTurned = await used.call('isTurned');
    for (const width of [wide / 2, narrow]) {
      await used.resize(width, size.height);
      const factor = wide / width;
      await lookAtFit(used, width, known);
      for (const { number, size: now } of await used.call('fontSizes')) {
        const first = before.find((one) => one.number === number);
        if (first && first.size > 0) {
          growth.set(number, Math.max(growth.get(number) ?? 1, (now * factor) / first.size));
        }
      }
    }
    const small = before.filter(({ number }) => (growth.get(number) ?? 2) < 1.9);
    const [first] = small;
    if (first) {
      const times = (growth.get(first.number) ?? 1).toFixed(2);
      const more = small.length > 1 ? ` So it is of ${small.length} labels.` : '';
      const message = `At 400 % it is ${times} times as large.${more}`;
      await used.addFinding(textNotScaled, first, { state: 'enlarged four times', message });
    }
    if (!wasTurned) {
      await used.resize(Math.min(400, narrow + 80), 800);
      if (await used.call('isTurned')) {
        await used.addFinding(
          orientationLocked,
          { selector: 'body', html: '<body>' },
          { state: 'in an upright window' },
        );
      }
    }
  } finally {
    await used.page.setViewportSize(size);
    await used.reload();
  }
}

/** What is cut off, lies over each other or sticks out now. */
async function allBroken(used: AuditedPage) {
  const [cut, over, out] = [await used.call('cutLabels'), await used.call('overlaps'), await used.call('sticksOut')];
  return [
    ...cut.map((label) => ({ ...label, probe: labelsCut })),
    ...over.map((label) => ({ ...label, probe: labelsOverlap })),
    ...out.map((label) => ({ ...label, probe: menuBesideWindow })),
  ];
}

/** At a width that enlarging makes and that is not tried by itself. */
async function lookAtFit(used: AuditedPage, width: number, known: ReadonlySet<string>): Promise<void> {
  if (!used.isWanted(labelsCut, labelsOverlap, menuBesideWindow)) return;
  const broken = (await allBroken(used)).filter(({ selector }) => !known.has(selector));
  for (const label of broken.slice(0, 3)) {
    await used.addFinding(label.probe, label, { state: `enlarged to ${Math.round((100 * wide) / width)} %` });
  }
}

export const scaling: Attempt = {
  isPossible: ({ options }) => options.isWidest,
  name: 'enlarging',
  probes: [textNotScaled, orientationLocked, labelsCut, labelsOverlap, menuBesideWindow],
  attempt,
};
