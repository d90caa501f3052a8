import { useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { marram } from '../examples/marram.ts';
import { PreviewFrame } from '../preview/preview-frame.tsx';
import { SchemeField } from '../preview/scheme-field.tsx';
import { fromHash, toHash } from './address-state.ts';
import { checkText } from './check-text.ts';

const initialText = JSON.stringify(marram, null, 2);
const noOptions = {};

/** Edit a site file, and see what becomes of it. The text is in the address, so that it can be sent. */
export function PlaygroundPage(): ReactNode {
  const [text, setText] = useState(initialText);
  const [lastGood, setLastGood] = useState(marram);
  const [copied, setCopied] = useState('');
  const deferred = useDeferredValue(text);
  const { definition, problems } = useMemo(() => checkText(deferred), [deferred]);
  if (definition !== null && definition !== lastGood) setLastGood(definition);

  useEffect(() => {
    void fromHash(location.hash).then((sent) => sent !== null && setText(sent));
  }, []);
  useEffect(() => {
    if (deferred === initialText) return;
    let isLatest = true;
    void toHash(deferred).then((hash) => {
      if (isLatest) history.replaceState(history.state, '', hash);
    });
    return () => {
      isLatest = false;
    };
  }, [deferred]);

  const [scheme, setScheme] = useState('system');
  const message = useMemo(
    () => ({ component: 'all' as const, options: noOptions, definition: lastGood, url: '/', scheme, direction: 'ltr' }),
    [lastGood, scheme],
  );
  const copy = () =>
    navigator.clipboard.writeText(location.href).then(
      () => setCopied('The address is copied.'),
      () => setCopied('The browser does not allow copying. Copy the address from its address bar.'),
    );
  const reset = () => {
    setText(initialText);
    history.replaceState(history.state, '', location.pathname);
  };
  return (
    <article className="playground">
      <h1>Playground</h1>
      <p>Edit the site file. Bar, sidebar, breadcrumbs and footer follow, in a wide and in a narrow window.</p>
      <noscript>
        <p>The playground needs a script. The guides show the same in pictures and code.</p>
      </noscript>
      <div className="playground-columns">
        <div className="playground-editor">
          <label htmlFor="site-file">Site file</label>
          <textarea
            id="site-file"
            className="field"
            value={text}
            spellCheck={false}
            autoCapitalize="off"
            onChange={(event) => setText(event.target.value)}
          />
          <p className="calls">
            <button type="button" data-ft-button="plain" onClick={() => void copy()}>
              Copy the address
            </button>
            <button type="button" data-ft-button="plain" onClick={reset}>
              Reset
            </button>
            <SchemeField value={scheme} onChange={setScheme} />
          </p>
          <p role="status">{copied}</p>
          <h2>Problems</h2>
          <div role="status">
            {problems.length === 0 ? <p>None.</p> : null}
            {problems.length > 0 && (
              <ul className="problems">
                {problems.map((problem) => (
                  <li key={`${problem.place} ${problem.message}`}>
                    <strong>{problem.isFatal ? 'Error' : 'Advice'}</strong> <code>{problem.place || '/'}</code>{' '}
                    {problem.message}
                  </li>
                ))}
              </ul>
            )}
          </div>
        </div>
        <div className="playground-results">
          <h2>Wide</h2>
          <div className="preview-scroller playground-wide">
            <PreviewFrame title="The site in a wide window" message={message} width={1000} height={600} />
          </div>
          <h2>Narrow</h2>
          <div className="preview-scroller">
            <PreviewFrame title="The site in a narrow window" message={message} width={320} height={480} />
          </div>
        </div>
      </div>
    </article>
  );
}
