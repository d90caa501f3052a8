<script setup lang="ts">
import { recoveries } from '../../../observatory/content/today.ts';
import DataTable from '../data-table.vue';

const rows = recoveries.map(({ ring, bird, ringed, found }) => [ring, bird, ringed, found]);
</script>

<template>
  <h1>Recoveries</h1>
  <DataTable caption="Rings of Marram Point found elsewhere" :head="['Ring', 'Bird', 'Ringed', 'Found']" :rows />
</template>
