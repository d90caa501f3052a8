import { createContext, useCallback, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { followedLink, linkAround } from '../dom/clicks.ts';
import { markScripted } from '../dom/scripted.ts';
import { useBrowserLayoutEffect } from '../react/trail-context.ts';
import { useStable } from '../react/use-stable.ts';
import type { Conditions } from './conditions.ts';
import { dressRoot } from './frame-root.ts';
import { FrameStyles, type SheetStyles } from './sheet-styles.ts';

/** What every frame of a sheet is drawn under. */
export interface FrameSurroundings {
  readonly conditions: Conditions;
  readonly styles: SheetStyles;
  readonly language: string;
  readonly direction: 'ltr' | 'rtl';
  /** Called when a link in a specimen is followed: the address of the whole sheet changes. */
  readonly onFollow: (href: string) => void;
  /** Which version of the files it shows, where there are several. */
  readonly version?: string;
}

export const FrameContext = createContext<FrameSurroundings | null>(null);

export interface FrameProps {
  /** What is in it, for those who cannot see it. */
  readonly title: string;
  /** In CSS pixels; `content` for as high as what is in it. Default: `content`. */
  readonly height?: number | 'content';
  /** Further stylesheets for this frame alone. */
  readonly styles?: readonly string[];
  readonly name?: string;
  /** Called for the frame's document when it is there, and whenever its stylesheets have changed. */
  readonly onReady?: (document: Document) => void;
  readonly children: ReactNode;
}

/** Standards mode, and nothing else: a frame without a document of its own would be in quirks mode. */
const emptyDocument = '<!doctype html><html><head></head><body></body></html>';

const noStyles: readonly string[] = [];

/**
 * A window of its own within the sheet, as wide as the conditions say: what asks for the viewport or for a container gets
 * real answers.
 */
export function Frame(props: FrameProps): ReactNode {
  const { height = 'content', styles: more = noStyles, onReady, children } = props;
  const surroundings = useContext(FrameContext);
  if (!surroundings) throw new Error('A frame of the sheet needs the sheet around it.');
  const { conditions, styles, language, direction, onFollow, version } = surroundings;
  const title = version === undefined ? props.title : `${props.title}: ${version}`;
  const name = version === undefined || props.name === undefined ? props.name : `${props.name}-${version}`;
  const frame = useRef<HTMLIFrameElement>(null);
  const [document, setDocument] = useState<Document | null>(null);
  const [sheets, setSheets] = useState<FrameStyles | null>(null);
  const ready = useStable((loaded: Document) => onReady?.(loaded));
  const follow = useStable(onFollow);

  const load = useCallback(() => {
    const loaded = frame.current?.contentDocument ?? null;
    setDocument(loaded);
    setSheets(loaded && new FrameStyles(loaded, () => ready(loaded)));
  }, [ready]);

  useBrowserLayoutEffect(() => {
    sheets?.apply({ styles, more, conditions });
  }, [sheets, styles, more, conditions]);

  useBrowserLayoutEffect(() => {
    if (document) dressRoot(document.documentElement, { conditions, language, direction });
  }, [document, conditions, language, direction]);
  useBrowserLayoutEffect(() => (document ? markScripted(document) : undefined), [document]);
  // Before anything in it can be pressed.
  useBrowserLayoutEffect(() => (document ? keepInSheet(document, follow) : undefined), [document, follow]);
  useEffect(() => {
    const element = frame.current;
    if (!document || !element || height !== 'content') return undefined;
    return keepAsHigh(element, document);
  }, [document, height]);
  useEffect(() => {
    if (document) ready(document);
  }, [document, conditions, styles, more, ready]);

  const size = useMemo(
    () => ({ inlineSize: `${conditions.width}px`, ...(height !== 'content' && { blockSize: `${height}px` }) }),
    [conditions.width, height],
  );
  return (
    <div className="ft-sheet-scroll" role="group" aria-label={title} tabIndex={0}>
      <iframe
        ref={frame}
        className="ft-sheet-window"
        title={title}
        data-ft-frame={name}
        srcDoc={emptyDocument}
        style={size}
        onLoad={load}
      />
      {document && createPortal(children, document.body)}
    </div>
  );
}

/** A link or a form of a specimen must not take its frame elsewhere. The parts' own handlers are asked first. */
function keepInSheet(document: Document, follow: (href: string) => void): () => void {
  const onClick = (event: MouseEvent) => {
    const href = followedLink(event)?.link.getAttribute('href');
    if (linkAround(event)) event.preventDefault();
    if (href?.startsWith('/') === true) follow(href);
  };
  const onSubmit = (event: SubmitEvent) => event.preventDefault();
  document.addEventListener('click', onClick);
  document.addEventListener('auxclick', onClick);
  document.addEventListener('submit', onSubmit);
  return () => {
    document.removeEventListener('click', onClick);
    document.removeEventListener('auxclick', onClick);
    document.removeEventListener('submit', onSubmit);
  };
}

function keepAsHigh(frame: HTMLIFrameElement, document: Document): () => void {
  const measure = () => {
    const { height } = document.body.getBoundingClientRect();
    const room = Math.ceil(height);
    if (frame.style.blockSize !== `${room}px`) frame.style.blockSize = `${room}px`;
  };
  measure();
  let waiting = 0;
  // Not at once: another height of the frame is another size of what is in it, and a browser complains of such circles.
  const observer = new ResizeObserver(() => {
    cancelAnimationFrame(waiting);
    waiting = requestAnimationFrame(measure);
  });
  observer.observe(document.body);
  return () => {
    cancelAnimationFrame(waiting);
    observer.disconnect();
  };
}
