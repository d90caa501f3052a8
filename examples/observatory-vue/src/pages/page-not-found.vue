<script setup lang="ts">
import { computed } from 'vue';
import { labelOf } from 'fair-trail';
import { TrailLink, useTrail, type PageProps } from 'fair-trail/vue';

const props = defineProps<PageProps>();
const trail = useTrail();
const section = computed(() => props.position.path[0]);
const sectionLabel = computed(() => {
  const { site, records } = trail.value;
  return section.value && labelOf(site, section.value, { params: props.params, records });
});
</script>

<template>
  <h1>Page not found</h1>
  <p>
    The tide took it, or it never was.
    <template v-if="section">
      You are somewhere below <TrailLink :entry="section.id">{{ sectionLabel }}</TrailLink>.
    </template>
    <template v-else>Begin again at <TrailLink entry="today" />.</template>
  </p>
</template>
