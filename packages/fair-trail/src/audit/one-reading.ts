/** What has been found out of elements in the reading that goes on, by what was asked; null where none does. */
let known: Map<unknown, Map<Element, unknown>> | null = null;

/**
 * Reads a document while nothing changes it: what is asked of an element again and again, such as by each of 50 000 links
 * in one list, is found out once. Nothing is kept for the next reading, since the document may be another one by then.
 *
 * @param read must be at its end when it returns
 */
export function inOneReading<Answer>(read: () => Answer): Answer {
  // One within another is part of it.
  if (known) return read();
  known = new Map();
  try {
    return read();
  } finally {
    known = null;
  }
}

/** A question about elements that is answered once for each in one reading, and anew outside of any. */
export function askedOnce<Answer>(find: (element: Element) => Answer): (element: Element) => Answer {
  return (element) => {
    if (!known) return find(element);
    let answers = known.get(find) as Map<Element, Answer> | undefined;
    if (!answers) known.set(find, (answers = new Map<Element, Answer>()));
    if (answers.has(element)) return answers.get(element) as Answer;
    const answer = find(element);
    answers.set(element, answer);
    return answer;
  };
}
