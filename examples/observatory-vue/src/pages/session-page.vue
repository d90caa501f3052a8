<script setup lang="ts">
import { computed } from 'vue';
import { TrailLink, type PageProps } from 'fair-trail/vue';
import DataTable from '../data-table.vue';
import { sessionsOf } from '../sessions-of.ts';
import PageNotFound from './page-not-found.vue';

const props = defineProps<PageProps>();
const id = computed(() => props.position.entry?.id ?? '');
const session = computed(() => sessionsOf(id.value).find(({ slug }) => slug === props.params['session']));
</script>

<template>
  <PageNotFound v-if="!session" :position :params />
  <template v-else>
    <h1>Session of {{ session.label }}</h1>
    <p class="lead">
      Rung by {{ session.ringer }}. {{ session.checked ? 'Read twice.' : 'Waits for a second reader.' }}
    </p>
    <DataTable caption="Net rounds" :head="['Round', 'Time', 'Birds']">
      <tr v-for="({ time, birds }, index) in session.rounds" :key="time">
        <th scope="row">
          <TrailLink
            :entry="id.replace('-session', '-round')"
            :params="{ session: session.slug, round: String(index + 1) }"
          />
        </th>
        <td>{{ time }}</td>
        <td>{{ birds }}</td>
      </tr>
    </DataTable>
  </template>
</template>
