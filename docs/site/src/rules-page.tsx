import type { ReactNode } from 'react';
import { ruleNames } from './documents.ts';
import { navigation } from './site.ts';

const { TrailLink } = navigation;

/** All rules of the audit, by name. */
export function RulesPage(): ReactNode {
  return (
    <article className="text">
      <h1>Rules of the audit</h1>
      <p>
        Every rule has a page: what it reports, whom the defect affects, and how to fix it.{' '}
        <TrailLink entry="audit">The audit</TrailLink> lists them by level.
      </p>
      <ul className="names">
        {ruleNames.map((rule) => (
          <li key={rule}>
            <TrailLink entry="rule" params={{ rule }}>
              <code>{rule}</code>
            </TrailLink>
          </li>
        ))}
      </ul>
    </article>
  );
}
