<script setup lang="ts">
import { mast } from '../../../observatory/content/instruments.ts';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Weather mast</h1>
  <p class="lead">
    From the mast beside the <TrailLink entry="lantern-room" />. The first calls of the day rarely get through.
  </p>
  <dl class="facts">
    <div v-for="{ name, value } in mast" :key="name" class="fact">
      <dt>{{ name }}</dt>
      <dd>{{ value }}</dd>
    </div>
  </dl>
</template>
