<script setup lang="ts">
import { sessions } from '../../../observatory/content/today.ts';
import { navigation } from '../site.ts';

const { TrailLink } = navigation;
const birds = sessions.reduce((sum, session) => sum + session.birds, 0);
</script>

<template>
  <h1>Sessions</h1>
  <p><TrailLink entry="log-autumn" />: {{ sessions.length }} mornings, {{ birds }} birds.</p>
</template>
