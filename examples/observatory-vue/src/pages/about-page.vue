<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>About</h1>
  <p class="lead">
    Marram Point has counted birds since 1961, from an old light on a tidal island that no one else wanted.
  </p>
  <p>
    Two <TrailLink entry="wardens">wardens</TrailLink> and some sixty volunteers keep the log. You can
    <TrailLink entry="support">help</TrailLink>.
  </p>
</template>
