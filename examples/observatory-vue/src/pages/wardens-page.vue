<template>
  <h1>Wardens</h1>
  <dl class="facts">
    <dt>Ines Halloran</dt>
    <dd>Counts, the tern colony, and the boat</dd>
    <dt>Tomas Lindqvist</dt>
    <dd>Ringing, training, and the generator</dd>
  </dl>
</template>
