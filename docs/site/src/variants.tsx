import type { ReactNode } from 'react';
import { Tablist, Tabpanel, Tabs } from 'fair-trail/react';
import { chooseFramework, frameworks, useFramework } from './framework.ts';
import type { Variant } from './markdown-document.ts';

/** Code for several frameworks. A choice in one of them is a choice for all, and is remembered. */
export function Variants({ variants }: { readonly variants: readonly Variant[] }): ReactNode {
  const framework = useFramework();
  const tabs = frameworks.filter(({ id }) => variants.some((variant) => variant.framework === id));
  // Some code is the same without a framework, and then there is none for it.
  const selected = tabs.some(({ id }) => id === framework) ? framework : (tabs[0]?.id ?? 'react');
  return (
    <div className="variants">
      <Tabs tabs={tabs} label="Framework" selected={selected} onSelect={chooseFramework}>
        <Tablist />
        {variants.map((variant) => (
          <Tabpanel key={variant.framework} id={variant.framework}>
            <div dangerouslySetInnerHTML={{ __html: variant.html }} />
          </Tabpanel>
        ))}
      </Tabs>
    </div>
  );
}
