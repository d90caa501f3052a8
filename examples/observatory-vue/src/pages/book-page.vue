<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef } from 'vue';
import { useMayLeave } from 'fair-trail/vue';

/** Asks before a half-filled form is left. */
const wanted = reactive({ day: '', people: '', wishes: '' });
const sent = ref(false);
const isWritten = computed(() => !sent.value && Object.values(wanted).some(Boolean));

const dialog = useTemplateRef<HTMLDialogElement>('dialog');
let settle: (mayLeave: boolean) => void = () => undefined;
const ask = () => {
  dialog.value?.showModal();
  return new Promise<boolean>((resolve) => (settle = resolve));
};
const answer = (mayLeave: boolean) => {
  dialog.value?.close();
  settle(mayLeave);
};
useMayLeave(() => (isWritten.value ? ask : null));
</script>

<template>
  <template v-if="sent">
    <h1>Book a visit</h1>
    <p class="lead" role="status">Thank you. The warden on duty will ring you back before the evening tide.</p>
  </template>
  <template v-else>
    <h1>Book a visit</h1>
    <p class="lead">So that we know how many are on the island when the causeway floods.</p>
    <form class="booking" @submit.prevent="sent = true">
      <label>Day <input v-model="wanted.day" name="day" type="date" required /></label>
      <label>People <input v-model="wanted.people" name="people" inputmode="numeric" required /></label>
      <label>Anything else <textarea v-model="wanted.wishes" name="wishes" rows="4"></textarea></label>
      <button type="submit" data-ft-button="primary">Send</button>
    </form>
    <dialog ref="dialog" class="question" aria-labelledby="leave-question" @cancel="answer(false)">
      <p id="leave-question">Leave without sending? What you have written will be lost.</p>
      <button type="button" data-ft-button="primary" @click="answer(false)">Stay</button>
      {{ ' ' }}
      <button type="button" data-ft-button="plain" @click="answer(true)">Leave</button>
    </dialog>
  </template>
</template>
