<script setup lang="ts">
import { computed } from 'vue';
import { months } from './months.ts';

const props = defineProps<{ counts: readonly number[] }>();
const highest = computed(() => Math.max(...props.counts, 1));
</script>

<template>
  <h2>Highest count of each month</h2>
  <ol class="months" role="list">
    <li v-for="(count, month) in counts" :key="month">
      <span class="month">{{ months[month]?.slice(0, 3) }}</span>
      <meter :min="0" :max="highest" :value="count">{{ count }}</meter>
      <span class="count">{{ count.toLocaleString('en') }}</span>
    </li>
  </ol>
</template>
