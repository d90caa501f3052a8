/** The field that filters a list, in whatever holds both. */
const fieldSelector = '.ft-filter-field';

/**
 * Follows a field that filters the list beside it: what is typed, and Escape, which clears it.
 *
 * @param root holds the field and the list
 * @param report called with what stands in the field, whenever that is something else
 * @returns a function that stops listening
 */
export function followFilter(root: HTMLElement, report: (query: string) => void): () => void {
  const field = root.querySelector<HTMLInputElement>(fieldSelector);
  if (!field) return () => undefined;
  const listening = new AbortController();
  const { signal } = listening;
  // What was typed before the scripts came, or kept by the browser over a reload.
  if (field.value !== '') report(field.value);
  field.addEventListener('input', () => report(field.value), { signal });
  field.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || field.value === '' || event.isComposing) return;
      // It is taken: what the field lies in stays open.
      event.preventDefault();
      event.stopPropagation();
      field.value = '';
      report('');
    },
    { signal },
  );
  return () => listening.abort();
}
