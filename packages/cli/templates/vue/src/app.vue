<script setup lang="ts">
import { bindSite, Breadcrumbs, Layout, Navbar, SkipLink, Stage, Trail } from 'fair-trail/vue';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

defineProps<{
  /** The address, where a server renders it. */
  url?: string;
  /** The address that was rendered before. */
  renderedUrl?: string;
}>();

/** The components, knowing the names in the site file: a misspelled one is a type error. */
const navigation = bindSite(site, { Navbar, Stage, Trail });
</script>

<template>
  <navigation.Trail :url :rendered-url>
    <SkipLink />
    <Layout>
      <template #bar><navigation.Navbar pinned="sticky" /></template>
      <Breadcrumbs />
      <navigation.Stage :pages />
    </Layout>
  </navigation.Trail>
</template>
