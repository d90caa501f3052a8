<script setup lang="ts">
import { autumnSessions } from '../../../observatory/content/desk.ts';
import SessionTable from '../session-table.vue';

const waiting = autumnSessions.filter(({ checked }) => !checked);
</script>

<template>
  <h1>Data desk</h1>
  <p class="lead">
    Where the morning’s paper becomes the log. {{ waiting.length }} sessions wait for a second pair of eyes.
  </p>
  <SessionTable caption="To be checked" season="season-autumn" :sessions="waiting" />
</template>
