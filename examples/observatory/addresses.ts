import { everyEntry, hrefOf, type Site, type SiteRecords } from 'fair-trail';

/** The addresses of all pages of a site: of an entry with params, those of its records. */
export function addressesOf(site: Site, records: SiteRecords): readonly string[] {
  const addresses = [...everyEntry(site.entries)]
    .filter(({ outside }) => !outside)
    .flatMap((entry) => {
      const own = entry.records === null ? undefined : records[entry.records];
      return own === undefined || typeof own === 'string'
        ? [hrefOf(site, entry)]
        : own.map(({ params }) => hrefOf(site, entry, params));
    });
  return addresses.filter((address) => address !== null);
}
