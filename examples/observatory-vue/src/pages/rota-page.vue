<script setup lang="ts">
import { rota } from '../../../observatory/content/desk.ts';
import DataTable from '../data-table.vue';
</script>

<template>
  <h1>Rota</h1>
  <DataTable caption="Who rings, who writes" :head="['Day', 'Rings', 'Writes']" :rows="rota" />
</template>
