<template>
  <h1>Guided walks</h1>
  <dl class="facts">
    <dt>Tuesday</dt>
    <dd>Waders at the turn of the tide, two hours</dd>
    <dt>Thursday</dt>
    <dd>Reedbed at first light, ninety minutes</dd>
    <dt>Saturday</dt>
    <dd>Round the point, for families, one hour</dd>
  </dl>
</template>
