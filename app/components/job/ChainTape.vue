<script setup lang="ts">
import type { ChainLink } from '#core/job/chain'

/** The one chain as a measuring tape: done, here, to come. A link takes you to what it lacks. */
const props = defineProps<{ links: readonly ChainLink[] }>()
const current = computed(() => props.links.find(({ state }) => state === 'here'))
const emit = defineEmits<{ go: [link: ChainLink] }>()
const NAMES: Readonly<Record<ChainLink['name'], string>> = {
  measure: 'Measure',
  calibrate: 'Calibrate',
  rate: 'Rate',
  load: 'Load',
  walk: 'Walk',
  log: 'Log',
}
const WORDS: Readonly<Record<ChainLink['state'], string>> = {
  done: 'done',
  here: 'here now',
  'to-come': 'to come',
}
</script>

<template>
  <nav aria-label="Where this job stands">
    <ol class="tape">
      <li v-for="link in links" :key="link.name" :class="link.state">
        <button
          type="button"
          class="plain-button"
          :aria-current="link.state === 'here' ? 'step' : undefined"
          @click="emit('go', link)"
        >
          <span class="name"
            >{{ NAMES[link.name] }} <span v-if="link.state === 'done'" aria-hidden="true">✓</span></span
          ><span class="sr-only">, {{ WORDS[link.state] }}: </span>
          <span class="detail small">{{ link.detail }}</span>
        </button>
      </li>
    </ol>
    <p v-if="current" class="current small" aria-hidden="true">
      <strong>{{ NAMES[current.name] }}</strong>: {{ current.detail }}
    </p>
  </nav>
</template>

<style scoped>
.tape {
  display: flex;
  border-bottom: var(--rule-width) solid var(--ink);
}
li {
  flex: 1 1 0;
  min-width: 0;
  border-left: 1.5px solid var(--ink);
  position: relative;
  padding-bottom: 10px;
  background-image: repeating-linear-gradient(90deg, transparent 0 16.5px, var(--rule-strong) 16.5px 17.5px);
  background-size: auto 6px;
  background-repeat: repeat-x;
  background-position: left bottom;
}
li button {
  display: block;
  width: 100%;
  padding: 0 8px 2px;
  min-height: 40px;
}
li.here {
  background-color: var(--action-tint);
}
li.to-come .name {
  font-weight: 400;
  color: var(--soft);
}
.name {
  display: block;
  font-weight: 600;
  line-height: 1.3;
}
.detail {
  display: block;
  color: var(--soft);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.current {
  display: none;
}
@media (max-width: 640px) {
  li button {
    padding: 0 4px 2px;
    min-height: 34px;
  }
  .name {
    font-size: 13px;
  }
  .name span,
  .detail {
    display: none;
  }
  .current {
    display: block;
    padding-top: 4px;
  }
}
</style>
