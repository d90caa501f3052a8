import { useMemo, type ReactNode } from 'react';
import { limits, type Conditions } from './conditions.ts';
import { SheetProvider, type SheetParts } from './use-sheet-parts.tsx';
import { WholePage } from './whole-page.tsx';

/** The whole page in light and in dark, each in half of the width. */
export function BothSchemes({ parts }: { readonly parts: SheetParts }): ReactNode {
  return (
    <div className="ft-sheet-versions">
      <Scheme parts={parts} scheme="light" />
      <Scheme parts={parts} scheme="dark" />
    </div>
  );
}

interface SchemeProps {
  readonly parts: SheetParts;
  readonly scheme: 'light' | 'dark';
}

function Scheme({ parts, scheme }: SchemeProps): ReactNode {
  const own = useMemo<SheetParts>(() => {
    const { conditions: given } = parts.context;
    const width = Math.max(limits.width.least, Math.floor(given.width / 2) - gap);
    const conditions: Conditions = { ...given, scheme, width };
    return { ...parts, context: { ...parts.context, conditions }, frames: { ...parts.frames, conditions } };
  }, [parts, scheme]);
  return (
    <div className="ft-sheet-version">
      <SheetProvider parts={own} version={scheme}>
        <WholePage />
      </SheetProvider>
    </div>
  );
}

/** Between the two, with what lies around each, in CSS pixels. */
const gap = 32;
