<script setup lang="ts">
import { computed } from 'vue';
import { Breadcrumbs, Layout, Notice, SkipLink } from 'fair-trail/vue';
import DeskSidebar from './desk-sidebar.vue';
import { pages } from './pages/index.ts';
import PageDenied from './pages/page-denied.vue';
import PageFailed from './pages/page-failed.vue';
import PageNotFound from './pages/page-not-found.vue';
import { badges, records } from './records.ts';
import { useSignedIn } from './signed-in.ts';
import SiteBrand from './site-brand.vue';
import { navigation } from './site.ts';

defineProps<{ url?: string; renderedUrl?: string }>();

const { FooterNav, Navbar, Stage, Trail, TrailLink } = navigation;
const signedIn = useSignedIn();
const audience = computed(() =>
  signedIn.value === null ? ('unknown' as const) : signedIn.value ? (['ringer'] as const) : [],
);
const act = (action: string) => {
  signedIn.value = action === 'sign-in';
};
</script>

<template>
  <Trail :url :rendered-url :audience :records :badges @action="act">
    <SkipLink />
    <Layout>
      <template #notice>
        <Notice name="spring-tide-2026-11">
          A spring tide covers the causeway from 15:20 today.
          <TrailLink entry="crossing">Plan your crossing</TrailLink>.
        </Notice>
      </template>
      <template #bar>
        <Navbar class="observatory-bar" pinned="sticky" gives-way="hide" hover-opens>
          <template #brand><SiteBrand /></template>
          <template #end><TrailLink entry="book" data-ft-button="primary">Book a visit</TrailLink></template>
        </Navbar>
      </template>
      <template #sidebar><DeskSidebar /></template>
      <template #footer>
        <FooterNav>
          <template #foot>2026 · Marram Point and everything about it is invented for this example.</template>
        </FooterNav>
      </template>
      <Breadcrumbs class="observatory-breadcrumbs" siblings />
      <Stage :pages :not-found="PageNotFound" :denied="PageDenied" :failed="PageFailed" />
    </Layout>
  </Trail>
</template>
