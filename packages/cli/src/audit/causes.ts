import type { ReportedFinding } from './audit-report.ts';

/** What follows from a defect: once it is fixed, these go away with it. */
interface Cause {
  readonly cause: string;
  readonly consequences: readonly string[];
  /** Whether they are about the same element, or one within the other; else about the same page. */
  readonly isSameElement?: boolean;
}

const causes: readonly Cause[] = [
  {
    cause: 'toggle-does-nothing',
    consequences: ['narrow-menu-lacks', 'toggle-mouse-only', 'toggle-not-by-touch', 'toggle-without-state'],
  },
  {
    cause: 'toggle-mouse-only',
    consequences: ['not-by-keyboard', 'control-mouse-only', 'focus-lost-on-closing', 'toggle-without-state'],
  },
  {
    cause: 'toggle-state-frozen',
    consequences: ['state-after-resizing', 'toggle-announces-closed', 'toggle-state-wrong', 'state-wrong-after-back'],
  },
  { cause: 'toggle-state-wrong', consequences: ['state-after-resizing', 'toggle-state-frozen'], isSameElement: true },
  { cause: 'toggle-announces-closed', consequences: ['state-after-resizing'], isSameElement: true },
  { cause: 'toggle-stays-open', consequences: ['escape-ignored'] },
  { cause: 'toggle-without-state', consequences: ['state-not-supported', 'not-by-keyboard'], isSameElement: true },
  { cause: 'page-left-inert', consequences: ['focus-in-hidden', 'visible-not-exposed', 'toggle-needs-two-presses'] },
  { cause: 'backdrop-stays', consequences: ['overlay-leaves-page', 'focus-covered', 'toggle-needs-two-presses'] },
  { cause: 'closes-by-itself', consequences: ['toggle-needs-two-presses', 'focus-lost-on-closing'] },
  {
    cause: 'acts-on-press',
    consequences: ['toggle-mouse-only', 'toggle-needs-two-presses', 'toggle-one-key'],
  },
  { cause: 'visible-not-exposed', consequences: ['not-by-keyboard', 'focus-in-hidden', 'menu-without-landmark'] },
  { cause: 'focus-in-hidden', consequences: ['not-by-keyboard'], isSameElement: true },
  { cause: 'focus-on-invisible', consequences: ['exposed-not-visible', 'focus-not-shown', 'focus-order'] },
  {
    cause: 'hover-only',
    consequences: ['not-by-keyboard', 'narrow-menu-lacks', 'toggle-mouse-only', 'hover-not-dismissible'],
  },
  { cause: 'focus-trapped', consequences: ['not-by-keyboard', 'skip-link-stays', 'focus-order'] },
  { cause: 'focus-stolen', consequences: ['focus-misplaced', 'focus-trapped'] },
  { cause: 'positive-tabindex', consequences: ['focus-order'] },
  { cause: 'dead-fragment', consequences: ['skip-link-stays', 'no-skip-link-or-landmark'] },
  { cause: 'skip-link-hidden', consequences: ['no-skip-link-or-landmark'] },
  { cause: 'low-contrast', consequences: ['state-low-contrast', 'low-contrast-on-picture'], isSameElement: true },
  { cause: 'moves-without-pause', consequences: ['low-contrast', 'state-low-contrast', 'motion-goes-on'] },
  { cause: 'link-without-name', consequences: ['name-says-nothing', 'new-window-unannounced'], isSameElement: true },
  { cause: 'menu-without-items', consequences: ['role-without-arrows', 'role-not-allowed', 'popup-of-other-kind'] },
  { cause: 'group-without-items', consequences: ['role-without-arrows', 'role-not-allowed', 'item-outside-its-group'] },
  {
    cause: 'role-not-allowed',
    consequences: ['group-with-others', 'list-with-non-items', 'landmarks-same-name', 'menu-without-landmark'],
    isSameElement: true,
  },
  { cause: 'role-unknown', consequences: ['state-not-supported', 'name-not-allowed'], isSameElement: true },
  {
    cause: 'item-outside-its-group',
    consequences: ['role-without-arrows', 'list-with-non-items', 'state-not-supported'],
  },
  {
    cause: 'role-without-arrows',
    consequences: [
      ...['several-tab-stops', 'home-and-end-missing', 'menu-button-without-focus', 'tree-keys-missing'],
      ...['menu-ignores-escape', 'not-by-keyboard'],
    ],
  },
  { cause: 'tabs-without-arrows', consequences: ['several-tab-stops', 'not-by-keyboard'] },
  { cause: 'tab-is-link', consequences: ['tab-without-panel', 'tabs-without-arrows', 'tabpanel-without-name'] },
  { cause: 'several-current-pages', consequences: ['mark-on-another-page'] },
  {
    cause: 'mark-on-another-page',
    consequences: ['mark-stays', 'mark-wrong-after-back', 'looks-marked-elsewhere', 'site-mark-differs'],
  },
  { cause: 'mark-stays', consequences: ['mark-wrong-after-back', 'page-not-marked'] },
  { cause: 'title-says-nothing', consequences: ['titles-same', 'title-stays', 'site-title-differs'] },
  { cause: 'title-stays', consequences: ['titles-same', 'title-wrong-after-back', 'title-of-other-page'] },
  { cause: 'page-without-title', consequences: ['title-stays', 'titles-same', 'site-title-differs'] },
  { cause: 'address-stays', consequences: ['back-does-nothing', 'titles-same', 'reload-loses-page'] },
  { cause: 'back-does-nothing', consequences: ['mark-wrong-after-back', 'title-wrong-after-back'] },
  { cause: 'menu-outside-window', consequences: ['label-cut', 'panel-out-of-window', 'narrow-menu-lacks'] },
  { cause: 'panel-out-of-window', consequences: ['narrow-menu-lacks', 'focus-on-invisible'] },
  { cause: 'menu-lost-by-resizing', consequences: ['state-after-resizing', 'narrow-menu-lacks'] },
  { cause: 'id-twice', consequences: ['controls-something-else', 'landmarks-same-name', 'label-not-in-name'] },
  { cause: 'language-unknown', consequences: ['label-in-other-language', 'language-differs'] },
  { cause: 'menu-lacks-link', consequences: ['menu-order-differs'] },
];

/** Puts what follows from a finding below it: so that each defect is reported once, by its own rule. */
export function underTheirCauses(findings: readonly ReportedFinding[]): readonly ReportedFinding[] {
  const owners = new Map<ReportedFinding, ReportedFinding>();
  for (const { cause, consequences, isSameElement = false } of causes) {
    for (const first of findings.filter(({ code }) => code === cause)) {
      if (owners.has(first)) continue;
      for (const finding of findings) {
        if (!consequences.includes(finding.code) || owners.has(finding) || finding === first) continue;
        const isOnPage = finding.pages.some((page) => first.pages.includes(page));
        if (isOnPage && (!isSameElement || isRelated(first, finding))) owners.set(finding, first);
      }
    }
  }
  return findings
    .filter((finding) => !owners.has(finding))
    .map((finding) => {
      const own = findings.filter((other) => rootOf(other, owners) === finding && other !== finding);
      return own.length === 0 ? finding : { ...finding, consequences: own };
    });
}

/** A consequence of a consequence is one of the first cause. */
function rootOf(finding: ReportedFinding, owners: ReadonlyMap<ReportedFinding, ReportedFinding>): ReportedFinding {
  let at = finding;
  for (let owner = owners.get(at); owner; owner = owners.get(at)) at = owner;
  return at;
}

function isRelated(one: ReportedFinding, other: ReportedFinding): boolean {
  const isSame = one.html === other.html || one.selector === other.selector;
  return isSame || one.selector.startsWith(`${other.selector} `) || other.selector.startsWith(`${one.selector} `);
}

/** Every finding, those below others too. */
export function flattened(findings: readonly ReportedFinding[]): readonly ReportedFinding[] {
  return findings.flatMap(({ consequences = [], ...finding }) => [finding, ...flattened(consequences)]);
}
