import type { Problem } from 'fair-trail';
import { useState, type ReactNode } from 'react';
import { pointerOf, valueAt } from '../model/json-text.ts';
import {
  entryOutline,
  everyNode,
  isInMenu,
  keepOldAddress,
  menuNames,
  renameEntry,
  setField,
  setInMenu,
  setText,
  type OutlineNode,
  type WrittenFields,
} from '../model/site-edits.ts';
import { CheckField, numberOrText, ProblemNotes, SelectField, TextField, Button } from './fields.tsx';
import { IconField } from './icon-field.tsx';
import type { WorkbenchModel } from './use-workbench.ts';

export interface NodeFormProps {
  readonly model: WorkbenchModel;
  readonly text: string;
  readonly node: OutlineNode;
  readonly icon: ((name: string) => ReactNode) | undefined;
  readonly icons: readonly string[];
  readonly onEdit: (text: string, label: string, key?: string) => void;
}

/** The languages of a site file, its own first. */
export function languagesIn(text: string): readonly string[] {
  const own = valueAt(text, ['language']);
  const others = valueAt(text, ['languages']);
  const list = Array.isArray(others) ? others.filter((each): each is string => typeof each === 'string') : [];
  return [typeof own === 'string' ? own : 'en', ...list];
}

/** The problems of one field. */
export function problemsOf(problems: readonly Problem[], node: OutlineNode, field: string): readonly Problem[] {
  const at = `${pointerOf(node.path)}/${field}`;
  return problems.filter(({ pointer }) => pointer === at || pointer.startsWith(`${at}/`));
}

/** A text, in each language of the site. */
export function LocalizedField({
  model,
  text,
  node,
  field,
  label,
  onEdit,
}: NodeFormProps & { readonly field: string; readonly label: string }): ReactNode {
  const value = valueAt(text, [...node.path, field]);
  const languages = languagesIn(text);
  const isByLanguage = typeof value === 'object' && value !== null;
  const shown = isByLanguage || languages.length > 1 ? languages : [null];
  const found = problemsOf(model.read.problems, node, field);
  return shown.map((language, index) => {
    const isWhole = language === null || (!isByLanguage && index === 0);
    const current = isByLanguage ? (value as WrittenFields)[language ?? ''] : isWhole ? value : undefined;
    const key = `${pointerOf(node.path)} ${field} ${language ?? ''}`;
    return (
      <TextField
        key={language ?? ''}
        label={language === null ? label : `${label} (${language})`}
        {...(language !== null && { lang: language })}
        value={typeof current === 'string' ? current : ''}
        problems={index === 0 ? found : []}
        onChange={(next) =>
          onEdit(
            setText(text, node.path, field, next, { language, own: languages[0] ?? 'en' }),
            `${label} of ${node.label}`,
            key,
          )
        }
        onLeave={() => model.dispatch({ type: 'settle' })}
      />
    );
  });
}

/** An icon of an entry or an item. */
export function NodeIconField({
  model,
  text,
  node,
  icon,
  icons,
  field,
  label,
  onEdit,
}: NodeFormProps & { readonly field: string; readonly label: string }): ReactNode {
  const value = valueAt(text, [...node.path, field]);
  return (
    <IconField
      label={label}
      value={typeof value === 'string' ? value : ''}
      icon={icon}
      icons={icons}
      problems={problemsOf(model.read.problems, node, field)}
      onChange={(name) => onEdit(setField(text, node.path, field, name), `${label.toLowerCase()} of ${node.label}`)}
    />
  );
}

/** Everything that an entry says of itself. */
export function EntryForm(props: NodeFormProps): ReactNode {
  const { model, text, node, onEdit } = props;
  const { problems } = model.read;
  const entry = (valueAt(text, node.path) ?? {}) as WrittenFields;
  const settle = () => model.dispatch({ type: 'settle' });
  const change = (field: string, value: unknown, label: string) => {
    onEdit(setField(text, node.path, field, value), `${label} of ${node.label}`, `${pointerOf(node.path)} ${field}`);
  };
  const plain = (field: string, label: string, more: object = {}) => (
    <TextField
      label={label}
      value={typeof entry[field] === 'string' ? entry[field] : ''}
      problems={problemsOf(problems, node, field)}
      onChange={(value) => change(field, value === '' ? undefined : value, label)}
      onLeave={settle}
      {...more}
    />
  );
  const flag = (field: string, label: string, usual: boolean) => (
    <CheckField
      label={label}
      isChecked={entry[field] === undefined ? usual : entry[field] === true}
      onChange={(isOn) => change(field, isOn === usual ? undefined : isOn, label)}
    />
  );
  const own = problems.filter(({ pointer }) => pointer === pointerOf(node.path));
  return (
    <form
      className="ft-workbench-form"
      aria-label={`Entry: ${node.label}`}
      onSubmit={(event) => event.preventDefault()}
    >
      <h3>{node.label || '(no label)'}</h3>
      <ProblemNotes problems={own} />
      <LocalizedField {...props} field="label" label="Label" />
      {typeof entry['href'] === 'object' ? (
        <LocalizedField {...props} field="href" label="Address" />
      ) : (
        plain('href', 'Address', { inputMode: 'url', hint: <OldAddress {...props} /> })
      )}
      <LocalizedField {...props} field="summary" label="Summary" />
      <LocalizedField {...props} field="badge" label="Badge" />
      <NodeIconField {...props} field="icon" label="Icon" />
      <MenusField {...props} />
      <AudienceField {...props} />
      <fieldset className="ft-workbench-checks">
        <legend>State</legend>
        {flag('planned', 'Planned: the page does not exist yet', false)}
        {flag('listed', 'Meant for a menu', true)}
        {flag('breadcrumb', 'In the breadcrumbs of what is below it', true)}
      </fieldset>
      <div className="ft-workbench-line">
        {plain('flex', 'Room (flex)', { placeholder: 'initial' })}
        <TextField
          label="Priority"
          inputMode="numeric"
          value={
            typeof entry['priority'] === 'number' || typeof entry['priority'] === 'string'
              ? String(entry['priority'])
              : ''
          }
          placeholder="0"
          problems={problemsOf(problems, node, 'priority')}
          onChange={(value) => change('priority', value.trim() === '' ? undefined : numberOrText(value), 'priority')}
          onLeave={settle}
        />
      </div>
      <details className="ft-workbench-more">
        <summary>More</summary>
        <IdField key={node.id} {...props} />
        <NodeIconField {...props} field="currentIcon" label="Icon while current" />
        <SelectField
          label="Opens in"
          value={entry['opens'] === 'new-tab' ? 'new-tab' : 'same-tab'}
          choices={[
            ['same-tab', 'the same tab'],
            ['new-tab', 'a new tab'],
          ]}
          problems={problemsOf(problems, node, 'opens')}
          onChange={(value) => change('opens', value === 'same-tab' ? undefined : value, 'tab')}
        />
        {plain('records', 'Records')}
      </details>
    </form>
  );
}

/** An id is changed at once everywhere, when the field is left: half a name is no name. */
function IdField({ text, node, model, onEdit }: NodeFormProps): ReactNode {
  const [id, setId] = useState(node.id ?? '');
  const isTaken = id !== node.id && [...everyNode(entryOutline(text))].some((other) => other.id === id);
  const isName = /^[a-z][\w.-]*$/iu.test(id);
  const wrong = isTaken
    ? `There is another entry “${id}”. Choose another id.`
    : isName
      ? null
      : 'An id is a letter, then letters, digits, “-”, “_” or “.”.';
  return (
    <TextField
      label="Id (menus and code use it)"
      value={id}
      problems={problemsOf(model.read.problems, node, 'id')}
      hint={wrong !== null && <p className="ft-workbench-fault">{wrong}</p>}
      onChange={setId}
      onLeave={() => {
        if (wrong === null && id !== node.id) onEdit(renameEntry(text, node.path, id), `id of ${node.label}`);
      }}
    />
  );
}

/** An address that was saved and is another one now leads nowhere, unless the entry keeps it. */
function OldAddress({ model, text, node, onEdit }: NodeFormProps): ReactNode {
  const { saved } = model.session;
  const old =
    saved.site === null
      ? undefined
      : [...everyNode(entryOutline(saved.site))].find(({ id }) => id !== null && id === node.id);
  const was = old && saved.site !== null ? valueAt(saved.site, [...old.path, 'href']) : undefined;
  const is = valueAt(text, [...node.path, 'href']);
  const kept = valueAt(text, [...node.path, 'movedFrom']);
  const isKept = Array.isArray(kept) && kept.includes(was);
  if (typeof was !== 'string' || !was.startsWith('/') || was === is || isKept || is === undefined) return null;
  return (
    <p className="ft-workbench-advice">
      Links to {was} will lead nowhere.{' '}
      <Button onClick={() => onEdit(keepOldAddress(text, node.path, was), `keep ${was}`)}>Keep {was} working</Button>
    </p>
  );
}

function MenusField({ text, node, onEdit }: NodeFormProps): ReactNode {
  const { id } = node;
  const names = menuNames(text);
  if (id === null || names.length === 0) return null;
  return (
    <fieldset className="ft-workbench-checks">
      <legend>In menus</legend>
      {names.map((name) => (
        <CheckField
          key={name}
          label={name}
          isChecked={isInMenu(text, name, id)}
          onChange={(isIn) => onEdit(setInMenu(text, name, id, isIn), `${node.label} in ${name}`)}
        />
      ))}
    </fieldset>
  );
}

/** Who may see it: of the audiences of the site, or a name that there is not yet. */
export function AudienceField({ model, text, node, onEdit }: NodeFormProps): ReactNode {
  const value = valueAt(text, [...node.path, 'audience']);
  const chosen = Array.isArray(value) ? value.filter((each): each is string => typeof each === 'string') : [];
  const listed = valueAt(text, ['audiences']);
  const known = new Set([
    ...(Array.isArray(listed) ? listed.filter((each): each is string => typeof each === 'string') : []),
    ...[...everyNode(entryOutline(text))].flatMap(({ path }) => {
      const names = valueAt(text, [...path, 'audience']);
      return Array.isArray(names) ? names.filter((each): each is string => typeof each === 'string') : [];
    }),
  ]);
  const set = (names: readonly string[], key?: string) => {
    onEdit(setField(text, node.path, 'audience', names), `audience of ${node.label}`, key);
  };
  const others = chosen.filter((name) => !known.has(name));
  return (
    <fieldset className="ft-workbench-checks">
      <legend>Who may see it</legend>
      {chosen.length === 0 && <p className="ft-workbench-hint">Everyone, as nothing is chosen.</p>}
      {[...known, ...others].map((name) => (
        <CheckField
          key={name}
          label={name}
          isChecked={chosen.includes(name)}
          onChange={(isIn) => set(isIn ? [...chosen, name] : chosen.filter((other) => other !== name))}
        />
      ))}
      <NewAudience onAdd={(name) => set([...chosen, name])} />
      <ProblemNotes problems={problemsOf(model.read.problems, node, 'audience')} />
    </fieldset>
  );
}

function NewAudience({ onAdd }: { readonly onAdd: (name: string) => void }): ReactNode {
  const [name, setName] = useState('');
  return (
    <div className="ft-workbench-line">
      <TextField label="Another audience" value={name} onChange={setName} />
      <Button
        isDisabled={!/^[a-z][\w.-]*$/iu.test(name)}
        onClick={() => {
          onAdd(name);
          setName('');
        }}
      >
        Add
      </Button>
    </div>
  );
}
