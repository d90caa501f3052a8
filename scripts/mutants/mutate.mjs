import ts from 'typescript';

/**
 * A place that can be broken: each effect, attribute, event and transition of a machine or a view, and each thing that a part
 * runs in the document.
 *
 * @typedef {{ id: number, file: string, line: number, kind: 'effect' | 'transition' | 'attribute' | 'event' | 'run', text: string }} Mutant
 */

/**
 * The source with every mutant in it, each asleep until it is asked for by its number. So one build serves all of them, and
 * it can also report which test reaches which mutant.
 *
 * @param {string} file as it is reported
 * @param {string} source
 * @param {number} firstId
 * @returns {{ code: string, mutants: Mutant[] }}
 */
export function withMutants(file, source, firstId) {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true);
  /** @type {Mutant[]} */
  const mutants = [];

  /** @param {ts.Node} node @param {Mutant['kind']} kind */
  const asked = (node, kind) => {
    const id = firstId + mutants.length;
    const { line } = tree.getLineAndCharacterOfPosition(node.getStart());
    const text = node.getText().replaceAll(/\s+/gu, ' ');
    mutants.push({ id, file, line: line + 1, kind, text: text.length > 100 ? `${text.slice(0, 97)}…` : text });
    return `globalThis.fairTrailIsMutant(${id})`;
  };

  /** The text of a node, with what can be broken in it. @param {ts.Node} node @returns {string} */
  const print = (node) => {
    let text = '';
    let at = node.getStart();
    ts.forEachChild(node, (child) => {
      // A token that is not there, such as the end of the file, has no text.
      if (child.getEnd() <= at) return;
      text += source.slice(at, child.getStart()) + print(child);
      at = child.getEnd();
    });
    return mutated(node, text + source.slice(at, node.getEnd()), asked);
  };
  return { code: source.slice(0, tree.getStart()) + print(tree), mutants };
}

/**
 * @param {ts.Node} node
 * @param {string} text
 * @param {(node: ts.Node, kind: Mutant['kind']) => string} asked
 */
function mutated(node, text, asked) {
  const { parent } = node;
  if (ts.isObjectLiteralExpression(node) && isEffect(node)) {
    return ts.isArrayLiteralExpression(parent) ? `...(${asked(node, 'effect')} ? [] : [${text}])` : text;
  }
  if (ts.isExpressionStatement(node) && /^effects\.push\(/u.test(node.getText())) {
    // In braces: an else after it belongs to the if before it.
    return `{ if (!${asked(node, 'effect')}) ${text} }`;
  }
  if (ts.isExpressionStatement(node) && /^runs\.keep\(/u.test(node.getText())) {
    return `{ if (!${asked(node, 'run')}) ${text} }`;
  }
  if (ts.isPropertyAssignment(node)) {
    const name = node.name.getText();
    // An object that holds state and effects: the effects alone go.
    if (name === 'effects' && !ts.isArrayLiteralExpression(node.initializer)) {
      return `...(${asked(node, 'effect')} ? { effects: [] } : { ${text} })`;
    }
    if (isAttributes(parent)) return `...(${asked(node, 'attribute')} ? {} : { ${text} })`;
    if (name === 'click' && /-view\.ts$/u.test(node.getSourceFile().fileName)) {
      return `...(${asked(node, 'event')} ? {} : { ${text} })`;
    }
  }
  if (ts.isCaseClause(node) && isOfMachine(node)) {
    return text.replace(/:/u, `: if (${asked(node, 'transition')}) return { state, effects: [] };`);
  }
  if (ts.isReturnStatement(node)) return mutatedReturn(node, text, asked);
  return text;
}

/**
 * What stays as it is cannot be taken away, and the cases of a machine's own switch are counted as transitions.
 *
 * @type {typeof mutated}
 */
function mutatedReturn(node, text, asked) {
  const around = functionAround(node);
  if (!around?.parameters.some(({ name }) => name.getText() === 'state') || !node.getText()) return text;
  if (/^return (?:to\(state\)|state);$/u.test(node.getText()) || ts.isCaseClause(node.parent)) return text;
  const type = around.type?.getText() ?? '';
  const nothing = /^Step$|^Transition</u.test(type) ? '{ state, effects: [] }' : /State$/u.test(type) ? 'state' : null;
  if (nothing === null) return text;
  return `{ if (${asked(node, 'transition')}) return ${nothing}; ${text} }`;
}

/** @param {ts.ObjectLiteralExpression} node */
function isEffect(node) {
  return node.properties.some((property) => property.name?.getText() === 'type');
}

/** What is handed on as the attributes of an element: it has a class, a role or something of ARIA. @param {ts.Node} node */
function isAttributes(node) {
  return (
    ts.isObjectLiteralExpression(node) &&
    node.properties.some((property) => /^'?(?:class'?$|role'?$|aria-|data-)/u.test(property.name?.getText() ?? ''))
  );
}

/** @param {ts.CaseClause} node */
function isOfMachine(node) {
  const around = functionAround(node);
  return (
    /^next/u.test(around?.name?.getText() ?? '') && around?.parameters.some(({ name }) => name.getText() === 'state')
  );
}

/** @param {ts.Node} node @returns {ts.FunctionDeclaration | null} */
function functionAround(node) {
  for (let at = node.parent; at; at = at.parent) {
    if (ts.isFunctionDeclaration(at)) return at;
    if (ts.isArrowFunction(at) || ts.isFunctionExpression(at)) return null;
  }
  return null;
}
