<script setup lang="ts">
import { ringStock } from '../../../observatory/content/desk.ts';
import DataTable from '../data-table.vue';
</script>

<template>
  <h1>Ring stock</h1>
  <DataTable caption="Rings in the drawer" :head="['Size', 'For', 'Left']" :rows="ringStock" />
</template>
