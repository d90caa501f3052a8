import type { ReactNode } from 'react';
import { exampleNamed } from './examples/examples.ts';
import { LiveExample } from './examples/live-example.tsx';
import { navigation } from './site.ts';

const { TrailLink } = navigation;

const promises = [
  ['Write the pages once', 'One site file drives the bar, sidebar, breadcrumbs, routes, titles, tests and sitemap.'],
  ['The right item is marked', 'Through query strings, trailing slashes, child pages, reloads and the Back button.'],
  ['It fits every window', 'Container queries decide, so the first paint is right at any width, without a script.'],
  ['It works for everyone', 'Keyboard, touch, screen readers, right-to-left text, large text, reduced motion.'],
  ['You can prove it', 'Tests in one line, an audit of the running site, and a walk through every page.'],
  ['In your framework', 'React, Vue, custom elements or plain HTML: the same document and the same behavior.'],
] as const;

/** The start page. */
export function HomePage(): ReactNode {
  const example = exampleNamed('bar');
  return (
    <article className="text home">
      <h1>Navigation that is right on every screen</h1>
      <p className="lead">
        Fair Trail is a TypeScript library for website navigation: bars, sidebars, tabs and breadcrumbs. You write the
        pages and menus once.
      </p>
      <p className="calls">
        <TrailLink entry="start" data-ft-button="primary">
          Build a bar in five minutes
        </TrailLink>
        <TrailLink entry="playground" data-ft-button="plain">
          Open the playground
        </TrailLink>
      </p>
      <ul className="promises">
        {promises.map(([title, text]) => (
          <li key={title}>
            <h2>{title}</h2>
            <p>{text}</p>
          </li>
        ))}
      </ul>
      {example && <LiveExample example={example} headingLevel={2} />}
    </article>
  );
}
