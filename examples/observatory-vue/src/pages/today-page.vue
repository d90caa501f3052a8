<script setup lang="ts">
import { species } from '../../../observatory/content/species.ts';
import { today } from '../../../observatory/content/today.ts';
import DataTable from '../data-table.vue';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
const nameOf = (slug: string) => species.find((bird) => bird.slug === slug)?.name;
</script>

<template>
  <p class="kicker">{{ today.date }}</p>
  <h1>Today at the point</h1>
  <div class="boards">
    <section class="board">
      <h2>Causeway</h2>
      <p class="figure">{{ today.causeway.opens }} to {{ today.causeway.closes }}</p>
      <p>
        Dry for six hours and forty minutes. Read <TrailLink entry="crossing">how to cross</TrailLink> before you set
        out.
      </p>
    </section>
    <section class="board">
      <h2>High water</h2>
      <p class="figure">{{ today.highWater.join(' · ') }}</p>
      <p>The evening tide fills the inner bar. <TrailLink entry="tides">The week’s tides</TrailLink></p>
    </section>
    <section class="board">
      <h2>Weather</h2>
      <p class="figure">7 °C</p>
      <p>{{ today.weather }}.</p>
    </section>
  </div>
  <DataTable caption="Seen this morning" :head="['Time', 'Bird', 'Count', 'Where', 'Observer']">
    <tr v-for="{ time, slug, count, place, observer } in today.sightings" :key="time + slug">
      <th scope="row">{{ time }}</th>
      <td>
        <TrailLink entry="species-page" :params="{ slug }">{{ nameOf(slug) }}</TrailLink>
      </td>
      <td>{{ count.toLocaleString('en') }}</td>
      <td>{{ place }}</td>
      <td>{{ observer }}</td>
    </tr>
  </DataTable>
  <p>
    Saw something we should know of? Tell the warden on duty, or come to the evening count in the
    <TrailLink entry="lantern-room" />.
  </p>
</template>
