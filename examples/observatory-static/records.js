/** The names of what is listed in the site under one address with params. */
export const records = {
  species: [
    { params: { slug: 'curlew' }, label: 'Curlew' },
    { params: { slug: 'avocet' }, label: 'Avocet' },
    { params: { slug: 'little-tern' }, label: 'Little tern' },
    { params: { slug: 'bearded-reedling' }, label: 'Bearded reedling' },
    { params: { slug: 'snow-bunting' }, label: 'Snow bunting' },
    { params: { slug: 'yellow-browed-warbler' }, label: 'Yellow-browed warbler' },
    { params: { slug: 'brent-goose' }, label: 'Dark-bellied brent goose' },
    { params: { slug: 'purple-sandpiper' }, label: 'Purple sandpiper' },
  ],
  'autumn-sessions': [
    { params: { session: '04-sep' }, label: '4 September' },
    { params: { session: '13-sep' }, label: '13 September' },
    { params: { session: '22-sep' }, label: '22 September' },
    { params: { session: '03-oct' }, label: '3 October' },
    { params: { session: '11-oct' }, label: '11 October' },
    { params: { session: '25-oct' }, label: '25 October' },
  ],
  'spring-sessions': [
    { params: { session: '28-mar' }, label: '28 March' },
    { params: { session: '12-apr' }, label: '12 April' },
    { params: { session: '30-apr' }, label: '30 April' },
  ],
};

/** What has come in since the last visit. */
export const badges = {
  'desk-check': { text: '2', spoken: '2 sessions' },
  'log-sessions': { text: '3', spoken: '3 new sessions' },
};
