import { memo, useMemo, type ReactNode } from 'react';
import { LiveExample } from './examples/live-example.tsx';
import { exampleNamed } from './examples/examples.ts';
import type { Block, MarkdownDocument } from './markdown-document.ts';
import { site } from './site.ts';
import { Variants } from './variants.tsx';

/** The page of a Markdown file. */
export function MarkdownPage({ document }: { readonly document: MarkdownDocument }): ReactNode {
  const { headings, blocks } = document;
  const [first, ...rest] = blocks;
  return (
    <article className="text">
      {first && <PageBlock block={first} lead={headings.length > 3 ? <OnThisPage headings={headings} /> : null} />}
      {rest.map((block, index) => (
        <PageBlock key={index} block={block} />
      ))}
    </article>
  );
}

function PageBlock({ block, lead }: { readonly block: Block; readonly lead?: ReactNode }): ReactNode {
  if (block.type === 'variants') return <Variants variants={block.variants} />;
  if (block.type === 'example') {
    const example = exampleNamed(block.name);
    return example ? <LiveExample example={example} headingLevel={3} /> : null;
  }
  if (!lead) return <Text html={block.html} />;
  // The contents follow the title.
  const end = block.html.indexOf('</h1>') + '</h1>'.length;
  return (
    <>
      <Text html={block.html.slice(0, end)} />
      {lead}
      <Text html={block.html.slice(end)} />
    </>
  );
}

/** Text that was made of Markdown when the site was built. */
const Text = memo(function Text({ html }: { readonly html: string }): ReactNode {
  const based = useMemo(() => html.replaceAll('%BASE%', site.base), [html]);
  return <div className="text-block" dangerouslySetInnerHTML={{ __html: based }} />;
});

function OnThisPage({ headings }: Pick<MarkdownDocument, 'headings'>): ReactNode {
  return (
    <details className="on-this-page">
      <summary>On this page</summary>
      <ul>
        {headings.map(({ id, title }) => (
          <li key={id}>
            <a href={`#${id}`}>{title}</a>
          </li>
        ))}
      </ul>
    </details>
  );
}
