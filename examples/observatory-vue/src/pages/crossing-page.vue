<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Crossing the causeway</h1>
  <ol>
    <li>Look up the dry hours in the <TrailLink entry="tides">tide table</TrailLink>.</li>
    <li>Start at least an hour before the end of them. It takes thirty minutes.</li>
    <li>If water stands on the roadway, turn back. There is a refuge at the halfway post.</li>
  </ol>
</template>
