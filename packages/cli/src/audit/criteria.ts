import { documented } from './rule-page.ts';

/** A success criterion of WCAG 2.2, level A or AA, that navigation can fail; and what no browser can tell of it by itself. */
interface Criterion {
  readonly id: string;
  readonly name: string;
  readonly cannotTell: string;
}

const criteria: readonly Criterion[] = [
  {
    id: '1.1.1',
    name: 'Non-text Content',
    cannotTell: 'whether a text says what the picture shows; a link or button without any is reported under 4.1.2',
  },
  {
    id: '1.3.1',
    name: 'Info and Relationships',
    cannotTell: 'whether a group that is seen as one is one; whether a heading is missing',
  },
  { id: '1.3.2', name: 'Meaningful Sequence', cannotTell: 'whether another order would change the meaning' },
  { id: '1.3.4', name: 'Orientation', cannotTell: 'what a device does that is turned' },
  {
    id: '1.4.1',
    name: 'Use of Color',
    cannotTell: 'marks that differ in more than color, but in nothing that is seen well',
  },
  {
    id: '1.4.3',
    name: 'Contrast (Minimum)',
    cannotTell: 'labels on pictures, gradients, filters and what is see-through',
  },
  {
    id: '1.4.4',
    name: 'Resize Text',
    cannotTell: 'what is beyond the menus; zoom is tried as a window of 320 CSS pixels',
  },
  { id: '1.4.5', name: 'Images of Text', cannotTell: 'whether a picture is one of text' },
  { id: '1.4.10', name: 'Reflow', cannotTell: 'what is beyond the menus' },
  { id: '1.4.11', name: 'Non-text Contrast', cannotTell: 'icons, borders and other states than focus' },
  { id: '1.4.12', name: 'Text Spacing', cannotTell: 'what is beyond the menus' },
  { id: '1.4.13', name: 'Content on Hover or Focus', cannotTell: 'tooltips without links' },
  { id: '2.1.1', name: 'Keyboard', cannotTell: 'what neither looks nor listens like something to press' },
  { id: '2.1.2', name: 'No Keyboard Trap', cannotTell: 'dialogs, which may keep focus, and frames' },
  { id: '2.1.4', name: 'Character Key Shortcuts', cannotTell: 'which letters do something' },
  { id: '2.2.1', name: 'Timing Adjustable', cannotTell: 'limits of time other than on menus and pages that redirect' },
  { id: '2.2.2', name: 'Pause, Stop, Hide', cannotTell: 'whether what moves is needed' },
  { id: '2.4.1', name: 'Bypass Blocks', cannotTell: 'whether headings are good enough to skip by' },
  { id: '2.4.2', name: 'Page Titled', cannotTell: 'whether a title says what the page is' },
  {
    id: '2.4.3',
    name: 'Focus Order',
    cannotTell: 'whether an order that is other than the drawn one still makes sense',
  },
  { id: '2.4.4', name: 'Link Purpose (In Context)', cannotTell: 'whether a name says where its link leads' },
  {
    id: '2.4.5',
    name: 'Multiple Ways',
    cannotTell: 'whether a page is a step of a process; with a site file, pages that no menu leads to are reported',
  },
  { id: '2.4.6', name: 'Headings and Labels', cannotTell: 'whether a label describes' },
  { id: '2.4.7', name: 'Focus Visible', cannotTell: 'more than one of each kind on a page' },
  { id: '2.4.11', name: 'Focus Not Obscured (Minimum)', cannotTell: 'what is covered by something see-through' },
  { id: '2.5.1', name: 'Pointer Gestures', cannotTell: 'gestures other than dragging a strip of links' },
  { id: '2.5.2', name: 'Pointer Cancellation', cannotTell: 'whether what acts on the press itself can be undone' },
  { id: '2.5.3', name: 'Label in Name', cannotTell: 'labels that are pictures of words' },
  { id: '2.5.7', name: 'Dragging Movements', cannotTell: 'what is dragged other than a strip of links' },
  { id: '2.5.8', name: 'Target Size (Minimum)', cannotTell: 'whether the same can be done by another, larger target' },
  { id: '3.1.1', name: 'Language of Page', cannotTell: 'whether the language that is declared is the right one' },
  { id: '3.1.2', name: 'Language of Parts', cannotTell: 'which language a label is in' },
  { id: '3.2.1', name: 'On Focus', cannotTell: 'changes other than of the address' },
  {
    id: '3.2.2',
    name: 'On Input',
    cannotTell: 'whether it was announced beforehand; fields other than lists of choices',
  },
  { id: '3.2.3', name: 'Consistent Navigation', cannotTell: 'menus that share less than two thirds of their links' },
  { id: '3.2.4', name: 'Consistent Identification', cannotTell: 'what does the same at another address' },
  { id: '3.2.6', name: 'Consistent Help', cannotTell: 'which link is one to help' },
  { id: '4.1.2', name: 'Name, Role, Value', cannotTell: 'whether a role is the right one for what is done' },
  { id: '4.1.3', name: 'Status Messages', cannotTell: 'messages other than of a page change' },
];

/** Which rules stand for which criterion, surely and likely, and what no rule can tell. */
export function criteriaPage(): string {
  const cell = (id: string, certainty: 'sure' | 'likely') =>
    documented
      .filter((rule) => rule.wcag.includes(id) && rule.certainty === certainty)
      .map((rule) => `[${rule.id}](rules/${rule.id}.md)`)
      .join(', ');
  const rows = criteria.map(
    ({ id, name, cannotTell }) => `| ${id} ${name} | ${cell(id, 'sure')} | ${cell(id, 'likely')} | ${cannotTell} |`,
  );
  return ['| criterion | sure | likely | cannot tell |', '| --- | --- | --- | --- |', ...rows].join('\n');
}

/** What a criterion is called; empty for one that is not of navigation. */
export function criterionName(id: string): string {
  return criteria.find((criterion) => criterion.id === id)?.name ?? '';
}

/** Criteria that a rule names and this list does not. */
export function unknownCriteria(): readonly string[] {
  const known = new Set(criteria.map(({ id }) => id));
  return [...new Set(documented.flatMap(({ wcag }) => wcag))].filter((id) => !known.has(id));
}
