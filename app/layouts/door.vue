<script setup lang="ts">
/** Before anybody is signed in: the name of the house, and one thing to do. */
</script>

<template>
  <main class="door">
    <p class="brand title">Hectarum</p>
    <slot />
    <NoticeBar />
  </main>
</template>

<style scoped>
.door {
  min-height: 100dvh;
  background: var(--paper);
  padding: 12vh 20px 40px;
  width: min(26rem, 100%);
  margin: 0 auto;
}
.brand {
  font-size: 22px;
  padding-bottom: 18px;
}
</style>
