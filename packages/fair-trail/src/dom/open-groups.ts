/** Between the name of a sidebar and the id of a group in it, in what is remembered. */
const separator = '\n';

/** How an open group is remembered. */
export function openGroupName(sidebar: string, id: string): string {
  return `${sidebar}${separator}${id}`;
}

export function readOpenGroup(name: string): { readonly sidebar: string; readonly id: string } {
  const [sidebar = '', id = ''] = name.split(separator);
  return { sidebar, id };
}
