<script setup lang="ts">
import { hides } from '../../../observatory/content/hides.ts';
import HideLinks from '../hide-links.vue';
import PointMap from '../point-map.vue';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <HideLinks />
  <h1>Hides</h1>
  <p class="lead">Four places to watch from, each good at another state of the tide.</p>
  <div class="boards">
    <section v-for="{ id, name, best, seats } in hides" :key="id" class="board">
      <h2>
        <TrailLink :entry="id">{{ name }}</TrailLink>
      </h2>
      <p>{{ best }}</p>
      <p class="quiet">{{ seats }} seats</p>
    </section>
  </div>
  <PointMap />
</template>
