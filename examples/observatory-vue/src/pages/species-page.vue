<script setup lang="ts">
import { computed } from 'vue';
import { Tablist, Tabpanel, Tabs, type PageProps } from 'fair-trail/vue';
import { species } from '../../../observatory/content/species.ts';
import MonthCounts from '../month-counts.vue';
import { months } from '../months.ts';
import { navigation } from '../site.ts';
import PageNotFound from './page-not-found.vue';

const props = defineProps<PageProps>();
const { TrailLink } = navigation;
const index = computed(() => species.findIndex(({ slug }) => slug === props.params['slug']));
const bird = computed(() => species[index.value]);
const next = computed(() => species[(index.value + 1) % species.length]);
const highest = computed(() => Math.max(...(bird.value?.counts ?? [])));
const parts = [
  { id: 'overview', label: 'Overview' },
  { id: 'sightings', label: 'Sightings' },
  { id: 'sounds', label: 'Sounds' },
  { id: 'records', label: 'Records' },
];
</script>

<template>
  <PageNotFound v-if="!bird" :position :params />
  <template v-else>
    <p class="kicker" lang="la">{{ bird.latin }}</p>
    <h1>{{ bird.name }}</h1>
    <!-- Each part of the page can be sent to someone. -->
    <Tabs :tabs="parts" :label="`About the ${bird.name.toLowerCase()}`" :linked-to="{ query: 'part' }">
      <Tablist />
      <Tabpanel id="overview">
        <p class="lead">{{ bird.text }}</p>
        <dl class="facts">
          <dt>Season</dt>
          <dd>{{ bird.season }}</dd>
          <dt>Status</dt>
          <dd>{{ bird.status }}</dd>
        </dl>
      </Tabpanel>
      <Tabpanel id="sightings"><MonthCounts :counts="bird.counts" /></Tabpanel>
      <Tabpanel id="sounds">
        <p>No one has brought a microphone yet. The hut lends one to whoever asks.</p>
      </Tabpanel>
      <Tabpanel id="records">
        <p>
          Highest count of the year: {{ highest.toLocaleString('en') }}, in {{ months[bird.counts.indexOf(highest)] }}.
        </p>
      </Tabpanel>
    </Tabs>
    <p v-if="next">
      Next bird: <TrailLink entry="species-page" :params="{ slug: next.slug }">{{ next.name }}</TrailLink>
    </p>
  </template>
</template>
