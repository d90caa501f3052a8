/** What has been found out of nodes in the reading that goes on, by what was asked; null if none does. */
let known: Map<unknown, Map<ParentNode, unknown>> | null = null;

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

/** A question about elements, or documents, that is answered once for each in one reading, and again outside of any. */
export function askedOnce<Answer, Asked extends ParentNode = Element>(
  find: (of: Asked) => Answer,
): (of: Asked) => Answer {
  return (of) => {
    if (!known) return find(of);
    let answers = known.get(find) as Map<Asked, Answer> | undefined;
    if (!answers) known.set(find, (answers = new Map<Asked, Answer>()));
    if (answers.has(of)) return answers.get(of) as Answer;
    const answer = find(of);
    answers.set(of, answer);
    return answer;
  };
}
