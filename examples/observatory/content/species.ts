/** One bird of the species pages. All sightings are invented. */
export interface Species {
  readonly slug: string;
  readonly name: string;
  readonly latin: string;
  readonly season: string;
  readonly status: string;
  readonly text: string;
  /** The highest count of each month this year, January first. */
  readonly counts: readonly number[];
}

export const species: readonly Species[] = [
  {
    slug: 'curlew',
    name: 'Curlew',
    latin: 'Numenius arquata',
    season: 'All year',
    status: 'Winters in hundreds',
    text: 'The first voice of the marsh at dusk. From August the flock roosts on the inner bar and flies in over the Saltmarsh Hide two hours before high water.',
    counts: [412, 388, 301, 96, 22, 14, 61, 240, 356, 401, 430, 0],
  },
  {
    slug: 'avocet',
    name: 'Avocet',
    latin: 'Recurvirostra avosetta',
    season: 'March to October',
    status: 'Breeds',
    text: 'Nineteen pairs raised young on the shingle islands this summer. Please keep to the screened path in May and June.',
    counts: [0, 3, 28, 44, 41, 52, 67, 35, 12, 4, 0, 0],
  },
  {
    slug: 'little-tern',
    name: 'Little tern',
    latin: 'Sternula albifrons',
    season: 'May to August',
    status: 'Breeds, guarded colony',
    text: 'The colony on the spit is roped off and watched day and night by volunteers. Look from the Lantern Room, never from the beach.',
    counts: [0, 0, 0, 6, 74, 88, 91, 33, 1, 0, 0, 0],
  },
  {
    slug: 'bearded-reedling',
    name: 'Bearded reedling',
    latin: 'Panurus biarmicus',
    season: 'All year',
    status: 'Breeds in the reedbed',
    text: 'Listen for a pinging call along the boardwalk on still mornings. In October whole families gather grit beside the Reedbed Hide.',
    counts: [11, 9, 14, 16, 18, 24, 31, 38, 42, 47, 29, 0],
  },
  {
    slug: 'snow-bunting',
    name: 'Snow bunting',
    latin: 'Plectrophenax nivalis',
    season: 'November to February',
    status: 'Scarce winter visitor',
    text: 'A restless flock feeds along the strandline at the point. They are easiest to follow an hour after the tide has turned.',
    counts: [23, 17, 2, 0, 0, 0, 0, 0, 0, 5, 19, 0],
  },
  {
    slug: 'yellow-browed-warbler',
    name: 'Yellow-browed warbler',
    latin: 'Phylloscopus inornatus',
    season: 'September and October',
    status: 'Rare passage migrant',
    text: 'Five were ringed this autumn in the sycamores behind the lighthouse wall, the best total since the observatory opened.',
    counts: [0, 0, 0, 0, 0, 0, 0, 0, 3, 5, 0, 0],
  },
  {
    slug: 'brent-goose',
    name: 'Dark-bellied brent goose',
    latin: 'Branta bernicla bernicla',
    season: 'October to March',
    status: 'Winters in thousands',
    text: 'They come in off the mud in long lines when the eelgrass is covered. The count from the causeway is done on every spring tide.',
    counts: [1840, 1620, 905, 40, 0, 0, 0, 0, 210, 1475, 1960, 0],
  },
  {
    slug: 'purple-sandpiper',
    name: 'Purple sandpiper',
    latin: 'Calidris maritima',
    season: 'October to April',
    status: 'A few each winter',
    text: 'Half a dozen keep to the weedy stones below the light. Scan the splash zone at high water and wait for a stone to walk.',
    counts: [7, 6, 6, 3, 0, 0, 0, 0, 0, 4, 6, 0],
  },
];

/** The species as records of the site: one page each. */
export const speciesRecords = species.map(({ slug, name }) => ({ params: { slug }, label: name }));
