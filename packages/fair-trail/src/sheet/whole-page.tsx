import { type KeyboardEvent, memo, type PointerEvent, type ReactNode, useRef } from 'react';
import { labelOf } from '../core/site/labels.ts';
import { Breadcrumbs } from '../react/breadcrumbs.tsx';
import { FooterNav } from '../react/footer-nav.tsx';
import { Layout } from '../react/layout.tsx';
import { Navbar } from '../react/navbar.tsx';
import { Sidebar } from '../react/sidebar.tsx';
import { SkipLink } from '../react/skip-link.tsx';
import { limits, withinLimits, type Conditions } from './conditions.ts';
import { Frame } from './frame.tsx';
import { useSheet } from './sheet-context.ts';
import { useSheetExtras, type PageOptions } from './sheet-extras.ts';

const noOptions: PageOptions = {};

/** As high as a low window. */
const height = 480;

export interface WholePageProps {
  /** Told whether the bar's menu stands behind its toggle. */
  readonly onForm?: (narrow: boolean) => void;
  readonly onReady?: (document: Document) => void;
}

/** The components together, at work: what is followed in them changes the address of the whole sheet. */
export const WholePage = memo(function WholePage({ onForm, onReady }: WholePageProps): ReactNode {
  const sheet = useSheet();
  const { options = noOptions } = useSheetExtras();
  const { bar, sidebar, breadcrumbs } = options;
  const { site, url, position, conditions, menus, icon, brand, end, annex, wording } = sheet;
  const { records } = sheet;
  const title = position.entry ? labelOf(site, position.entry, { ...position, records }) : wording.notFound;
  const look = (document: Document) => {
    const toggle = document.querySelector('.ft-bar .ft-toggle');
    onReady?.(document);
    if (toggle) onForm?.(document.defaultView?.getComputedStyle(toggle).display !== 'none');
  };
  return (
    <div className="ft-sheet-drawn" style={drawnSize(conditions)}>
      <Frame title="The whole page" name="whole-page" height={height} onReady={look}>
        <SkipLink />
        <Layout
          bar={<Navbar menu={menus.bar} brand={brand} end={end} {...(icon && { icon })} {...bar} />}
          sidebar={
            <Sidebar
              menu={menus.sidebar}
              name="sheet"
              search
              rail
              annex={annex}
              label={menus.sidebar === menus.bar ? wording.sidebar : labelOfMenu(menus.sidebar)}
              {...(icon && { icon })}
              {...sidebar}
            />
          }
          footer={<FooterNav menu={menus.footer} {...(icon && { icon })} />}
        >
          <Breadcrumbs className="ft-sheet-page" siblings {...(icon && { icon })} {...breadcrumbs} />
          <main id="main" tabIndex={-1} className="ft-sheet-page">
            <h1>{title}</h1>
            <p>
              <code dir="ltr">{url}</code>
            </p>
          </main>
        </Layout>
      </Frame>
      <WidthHandle />
    </div>
  );
});

function labelOfMenu(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** A window with its edges, and the handle beside it. */
export function drawnSize({ width }: Conditions): { readonly inlineSize: string } {
  return { inlineSize: `calc(${width}px + 1.125rem)` };
}

/** The edge of the window: drags its width, by pointer or by arrow keys (WAI-ARIA 1.2, the role `separator`). */
export function WidthHandle(): ReactNode {
  const { conditions, change } = useSheet();
  const { width } = conditions;
  const from = useRef<{ readonly x: number; readonly width: number } | null>(null);
  const set = (next: number) => change({ width: withinLimits('width', next) });
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, width };
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (from.current) set(from.current.width + event.clientX - from.current.x);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const steps: Readonly<Record<string, number>> = { ArrowLeft: -8, ArrowRight: 8, PageDown: -80, PageUp: 80 };
    const step = steps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    set(width + step);
  };
  return (
    <div
      className="ft-sheet-handle"
      role="separator"
      aria-orientation="vertical"
      aria-label="Width of the specimens"
      aria-valuenow={width}
      aria-valuemin={limits.width.least}
      aria-valuemax={limits.width.most}
      aria-valuetext={`${width} pixels`}
      tabIndex={0}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => (from.current = null)}
      onPointerCancel={() => (from.current = null)}
      onKeyDown={onKeyDown}
    />
  );
}
