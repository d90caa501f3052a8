import { useEffect, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';
import { site } from '../site.ts';
import type { PreviewAnswer, PreviewMessage } from './preview-message.ts';

interface PreviewFrameProps {
  readonly title: string;
  readonly message: Omit<PreviewMessage, 'type'>;
  /** The width of the frame, in CSS pixels; null for as wide as there is room. */
  readonly width: number | null;
  readonly height: number;
  /** Called when the visitor of the preview goes to another address. */
  readonly onUrl?: (url: string) => void;
}

const neverChanges = () => () => undefined;

/**
 * A window of its own for a component: what depends on the width of the window, covers the screen or sets the title then does so
 * here, and not on the page around it. It is made by a script, so that a page without scripts has no empty frame.
 */
export function PreviewFrame({ title, message, width, height, onUrl }: PreviewFrameProps): ReactNode {
  const frame = useRef<HTMLIFrameElement>(null);
  const isScripted = useSyncExternalStore(
    neverChanges,
    () => true,
    () => false,
  );
  const [isReady, setIsReady] = useState(false);
  useEffect(() => {
    const listen = (event: MessageEvent<PreviewAnswer>) => {
      if (event.source !== frame.current?.contentWindow || event.origin !== location.origin) return;
      if (event.data.type === 'preview-ready') setIsReady(true);
      else onUrl?.(event.data.url);
    };
    addEventListener('message', listen);
    return () => removeEventListener('message', listen);
  }, [onUrl]);
  useEffect(() => {
    if (isReady) frame.current?.contentWindow?.postMessage({ type: 'preview', ...message }, location.origin);
  }, [isReady, message]);
  if (!isScripted) return <div className="preview-place" />;
  return (
    <iframe
      ref={frame}
      className="preview-frame"
      title={title}
      src={`${site.base}/preview.html`}
      style={{ blockSize: height, ...(width !== null && { inlineSize: width }) }}
    />
  );
}
