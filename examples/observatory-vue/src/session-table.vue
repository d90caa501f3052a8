<script setup lang="ts">
import { TrailLink } from 'fair-trail/vue';
import type { DeskSession } from '../../observatory/content/desk.ts';
import DataTable from './data-table.vue';

defineProps<{ caption: string; season: string; sessions: readonly DeskSession[] }>();
</script>

<template>
  <DataTable :caption :head="['Session', 'Ringer', 'Birds', 'Read']">
    <tr v-for="{ slug, label, ringer, rounds, checked } in sessions" :key="slug">
      <th scope="row">
        <TrailLink :entry="`${season}-session`" :params="{ session: slug }">{{ label }}</TrailLink>
      </th>
      <td>{{ ringer }}</td>
      <td>{{ rounds.reduce((sum, { birds }) => sum + birds, 0) }}</td>
      <td>{{ checked ? 'twice' : 'once' }}</td>
    </tr>
  </DataTable>
</template>
