<script setup lang="ts">
import { autumnSessions } from '../../../observatory/content/desk.ts';
import SessionTable from '../session-table.vue';

const waiting = autumnSessions.filter(({ checked }) => !checked);
</script>

<template>
  <h1>To be checked</h1>
  <SessionTable caption="Sessions that no one has read twice" season="season-autumn" :sessions="waiting" />
</template>
