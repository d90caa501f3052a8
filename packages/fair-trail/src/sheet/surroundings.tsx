import { useMemo, type ReactNode } from 'react';
import { locate } from '../core/site/locate.ts';
import { Provide, type SharedProps } from '../react/provide.tsx';
import { fixedLocation } from '../parts/surroundings.ts';

export interface SheetTrailProps extends SharedProps {
  readonly url: string;
  readonly onNavigate: (url: string) => void;
}

const ignore = () => undefined;

/**
 * What a `Trail` gives to the components within it, and nothing of what it does to the page: a specimen neither sets the
 * sheet's title nor takes its focus.
 */
export function SheetTrail({ url, onNavigate, ...shared }: SheetTrailProps): ReactNode {
  const { site } = shared;
  const place = useMemo(() => fixedLocation({ position: locate(site, url), url }), [site, url]);
  return <Provide {...shared} location={place} router={null} navigate={onNavigate} onWarning={ignore} />;
}
