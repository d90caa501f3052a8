<script setup lang="ts">
import { computed } from 'vue';
import type { PageProps } from 'fair-trail/vue';
import { sessionsOf } from '../sessions-of.ts';
import PageNotFound from './page-not-found.vue';

const props = defineProps<PageProps>();
const session = computed(() =>
  sessionsOf(props.position.entry?.id ?? '').find(({ slug }) => slug === props.params['session']),
);
const round = computed(() => session.value?.rounds[Number(props.params['round']) - 1]);
</script>

<template>
  <PageNotFound v-if="!session || !round" :position :params />
  <template v-else>
    <h1>Net round {{ params['round'] }}</h1>
    <p class="lead">{{ round.birds }} birds at {{ round.time }}, on {{ session.label }}.</p>
  </template>
</template>
