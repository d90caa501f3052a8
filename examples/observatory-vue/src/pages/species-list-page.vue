<script setup lang="ts">
import { species } from '../../../observatory/content/species.ts';
import DataTable from '../data-table.vue';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Species</h1>
  <p class="lead">Eight birds that people come to the point for, and when they find them.</p>
  <DataTable caption="Birds of the point" :head="['Bird', 'Season', 'At the point']">
    <tr v-for="{ slug, name, season, status } in species" :key="slug">
      <th scope="row">
        <TrailLink entry="species-page" :params="{ slug }">{{ name }}</TrailLink>
      </th>
      <td>{{ season }}</td>
      <td>{{ status }}</td>
    </tr>
  </DataTable>
</template>
