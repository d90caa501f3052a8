<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Access on site</h1>
  <p>
    The <TrailLink entry="causeway-hide" /> and the <TrailLink entry="reedbed-hide" /> are level all the way. The
    <TrailLink entry="lantern-room" /> has 71 steps and no lift; its view is on a screen in the visitor room.
  </p>
</template>
