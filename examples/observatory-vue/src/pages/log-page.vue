<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Ringing log</h1>
  <p class="lead">For licensed ringers of the observatory. Enter the morning before you leave the hut.</p>
  <ul class="plain-links">
    <li><TrailLink entry="log-sessions" /> — every morning’s nets and birds</li>
    <li><TrailLink entry="log-recoveries" /> — our rings, read elsewhere</li>
    <li><TrailLink entry="desk" /> — where the paper becomes the log</li>
  </ul>
</template>
