<script setup lang="ts">
import { sessions } from '../../../observatory/content/today.ts';
import DataTable from '../data-table.vue';

const rows = sessions.map(({ date, nets, birds, newBirds, note }) => [date, nets, birds, newBirds, note]);
</script>

<template>
  <h1>Autumn 2026</h1>
  <DataTable caption="Ringing sessions" :head="['Date', 'Nets', 'Birds', 'New', 'Note']" :rows />
</template>
