<script setup lang="ts">
import { computed } from 'vue';
import type { PageProps } from 'fair-trail/vue';
import SessionTable from '../session-table.vue';
import { sessionsOf } from '../sessions-of.ts';

const props = defineProps<Pick<PageProps, 'position'>>();
const season = computed(() => props.position.entry?.id ?? '');
</script>

<template>
  <h1>{{ season === 'season-autumn' ? 'Autumn 2026' : 'Spring 2026' }}</h1>
  <SessionTable caption="Sessions of the season" :season :sessions="sessionsOf(season)" />
</template>
