<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Visit</h1>
  <p class="lead">Open every day that the causeway is. Day visitors are welcome; the hut sleeps nine.</p>
  <ul class="plain-links">
    <li><TrailLink entry="getting-here" /> — train, bus, and the last two kilometres</li>
    <li><TrailLink entry="access" /> — paths, seats, steps and the hearing loop</li>
    <li><TrailLink entry="walks" /> — with a warden, three times a week</li>
    <li><TrailLink entry="book" /> — so that we know how many are on the island</li>
  </ul>
</template>
