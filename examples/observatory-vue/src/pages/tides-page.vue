<script setup lang="ts">
import { tides } from '../../../observatory/content/today.ts';
import DataTable from '../data-table.vue';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
const rows = tides.map(({ day, morning, evening, height, crossing }) => [
  day,
  morning,
  evening,
  `${height.toFixed(1)} m`,
  crossing,
]);
</script>

<template>
  <h1>Tides</h1>
  <p class="lead">
    High water at the point, and the hours in which the <TrailLink entry="crossing">causeway</TrailLink> is dry.
  </p>
  <DataTable caption="This week" :head="['Day', 'Morning', 'Evening', 'Height', 'Causeway dry']" :rows />
  <p>
    Closer to the moment: the <TrailLink entry="tide-gauge">tide gauge</TrailLink> and the
    <TrailLink entry="weather-mast">weather mast</TrailLink>.
  </p>
</template>
