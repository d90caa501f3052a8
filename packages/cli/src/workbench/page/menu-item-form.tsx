import type { ReactNode } from 'react';
import { pointerOf, valueAt } from '../model/json-text.ts';
import { setField, type WrittenFields } from '../model/site-edits.ts';
import { AudienceField, LocalizedField, NodeIconField, problemsOf, type NodeFormProps } from './entry-form.tsx';
import { numberOrText, ProblemNotes, TextField } from './fields.tsx';

/** What an item of a menu says besides what its entry does. */
export function MenuItemForm(props: NodeFormProps): ReactNode {
  const { model, text, node, onEdit } = props;
  const { problems } = model.read;
  const value = valueAt(text, node.path);
  const item = (typeof value === 'object' && value !== null ? value : {}) as WrittenFields;
  const settle = () => model.dispatch({ type: 'settle' });
  const change = (field: string, next: unknown, label: string) => {
    onEdit(setField(text, node.path, field, next), `${label} of ${node.label}`, `${pointerOf(node.path)} ${field}`);
  };
  const own = problems.filter(
    ({ pointer }) => pointer === pointerOf(node.path) || pointer === `${pointerOf(node.path)}/entry`,
  );
  return (
    <form className="ft-workbench-form" aria-label={`Item: ${node.label}`} onSubmit={(event) => event.preventDefault()}>
      <h3>{node.label || '(no title)'}</h3>
      <ProblemNotes problems={own} />
      {node.kind === 'entry' && (
        <>
          <TextField
            label="Levels to show"
            inputMode="numeric"
            value={typeof item['depth'] === 'number' || typeof item['depth'] === 'string' ? String(item['depth']) : ''}
            placeholder="1"
            problems={problemsOf(problems, node, 'depth')}
            onChange={(next) =>
              change('depth', next.trim() === '' || next === '1' ? undefined : numberOrText(next), 'levels')
            }
            onLeave={settle}
            hint={<p className="ft-workbench-hint">1 is the page alone; 2 shows the pages below it too.</p>}
          />
          <p className="ft-workbench-hint">
            Its label, icon and address are those of the page: choose “All pages” to change them.
          </p>
        </>
      )}
      {node.kind === 'group' && <LocalizedField {...props} field="label" label="Title" />}
      {node.kind === 'action' && (
        <>
          <TextField
            label="Name of the action"
            value={typeof item['action'] === 'string' ? item['action'] : ''}
            problems={problemsOf(problems, node, 'action')}
            onChange={(next) => change('action', next, 'name')}
            onLeave={settle}
          />
          <LocalizedField {...props} field="label" label="Label" />
          <NodeIconField {...props} field="icon" label="Icon" />
          <AudienceField {...props} />
        </>
      )}
      {node.kind === 'choice' && <p>The first of these that a visitor may see is shown.</p>}
      {node.kind === 'divider' && <p>A line between what is before and what is after.</p>}
    </form>
  );
}
