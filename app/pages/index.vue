<script setup lang="ts">
definePageMeta({ redirect: '/today' })
</script>

<template>
  <div />
</template>
