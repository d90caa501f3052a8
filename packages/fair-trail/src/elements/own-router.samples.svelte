<script>
  import { followedLink } from '../dom/clicks.ts';

  const { site, asked } = $props();

  let url = $state('/');

  function go(to) {
    asked(to);
    url = to;
  }

  // As the page on custom elements says it.
  function follow(event) {
    const followed = followedLink(event);
    if (followed?.url.origin !== location.origin) return;
    event.preventDefault();
    go(followed.url.pathname + followed.url.search + followed.url.hash);
  }
</script>

<svelte:document onclick={follow} />

<trail-site {site} {url}>
  <trail-bar></trail-bar>
  <main>
    <h1>{url === '/' ? 'Today' : url}</h1>
    <a href="/tides">Today's tides</a>
  </main>
</trail-site>
