<script setup lang="ts">
import { gauge } from '../../../observatory/content/instruments.ts';
import DataTable from '../data-table.vue';

const rows = gauge.map(({ at, level }) => [at, level]);
</script>

<template>
  <h1>Tide gauge</h1>
  <p class="lead">
    What the gauge at the halfway post measured in the last hours. The line to it is slow, and so this page takes its
    time.
  </p>
  <DataTable caption="Water over the roadway" :head="['Time', 'Level']" :rows />
</template>
