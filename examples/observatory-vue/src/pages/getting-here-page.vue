<script setup lang="ts">
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Getting here</h1>
  <p>
    Bus 41 runs from Saltby station to the causeway head, at ten past every hour until six. From there it is a walk of
    two kilometres, or a ride on the warden’s trailer if you <TrailLink entry="book">book</TrailLink> it.
  </p>
  <p>Read <TrailLink entry="crossing" /> first. It floods faster than it looks.</p>
</template>
