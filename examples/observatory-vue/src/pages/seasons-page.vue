<script setup lang="ts">
import { autumnSessions, springSessions } from '../../../observatory/content/desk.ts';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
</script>

<template>
  <h1>Seasons</h1>
  <ul class="plain-links">
    <li><TrailLink entry="season-autumn" /> — {{ autumnSessions.length }} sessions</li>
    <li><TrailLink entry="season-spring" /> — {{ springSessions.length }} sessions</li>
  </ul>
</template>
