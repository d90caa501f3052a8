import { useMemo, type ReactNode } from 'react';
import { ariaCurrent, menuItems, type MenuItem } from 'fair-trail';
import { useTrail } from 'fair-trail/react';

/** The second menu of the site, in markup of the app's own: the items bring their marks with them. */
export function SiteFooter(): ReactNode {
  const { site, position, audience, records } = useTrail();
  const groups = useMemo(
    () => menuItems(site, 'footer', { position, audience, records }),
    [site, position, audience, records],
  );
  return (
    <footer className="site-footer">
      <nav aria-label="Footer" className="column footer-groups">
        {groups.map((group) => (
          <section key={group.label} aria-label={group.label}>
            <h2>{group.label}</h2>
            <ul role="list">
              {group.items.map((item) => (
                <li key={item.href}>
                  <FooterLink item={item} />
                </li>
              ))}
            </ul>
          </section>
        ))}
      </nav>
      <p className="column small-print">Marram Point and everything about it is invented for this example.</p>
    </footer>
  );
}

function FooterLink({ item }: { readonly item: MenuItem }): ReactNode {
  const newTab = item.entry?.opens === 'new-tab' && { target: '_blank', rel: 'noopener' };
  return (
    <a href={item.href ?? undefined} aria-current={ariaCurrent(item.mark) ?? undefined} {...newTab}>
      {item.label}
      {newTab && ' (opens in a new tab)'}
    </a>
  );
}
