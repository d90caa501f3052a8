import type { ReactNode } from 'react';
import { navigation } from '../site.ts';
import { examples } from './examples.ts';
import { LiveExample } from './live-example.tsx';

const { TrailLink } = navigation;

/** Every component, live. */
export function ExamplesPage(): ReactNode {
  return (
    <article className="text">
      <h1>Live examples</h1>
      <p>
        Change the options of a component, the width of its window, the color scheme and the direction. The code below
        it follows. All examples use one site file, which you can edit in the{' '}
        <TrailLink entry="playground">playground</TrailLink>.
      </p>
      {examples.map((example) => (
        <LiveExample key={example.name} example={example} headingLevel={2} />
      ))}
    </article>
  );
}
