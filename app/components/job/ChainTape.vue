<script setup lang="ts">
import type { ChainLink, LinkName } from '#core/job/chain'

/** The one chain as a measuring tape: done, here, to come. A press opens a link. */
defineProps<{ links: readonly ChainLink[]; open: LinkName }>()
const emit = defineEmits<{ open: [link: ChainLink] }>()
const WORDS: Readonly<Record<ChainLink['state'], string>> = {
  done: 'done',
  here: 'here now',
  'to-come': 'to come',
}
</script>

<template>
  <nav aria-label="The chain of this job">
    <ol class="tape">
      <li
        v-for="(link, i) in links"
        :key="link.name"
        v-memo="[link, link.name === open]"
        :class="[link.state, link.name === open ? 'open' : '']"
      >
        <ULink
          raw
          class="link"
          :aria-current="link.name === open ? 'true' : undefined"
          :aria-keyshortcuts="String(i + 1)"
          @pointerenter="reachFor(link.name)"
          @focus="reachFor(link.name)"
          @click="emit('open', link)"
        >
          <span class="name"
            >{{ LINK_NAMES[link.name]
            }}<UIcon v-if="link.state === 'done'" name="i-lucide-check" class="tick" /></span
          ><span class="sr-only">, {{ WORDS[link.state] }}: </span>
          <span class="detail small">{{ link.detail }}</span>
        </ULink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.tape {
  display: flex;
  border-bottom: var(--rule-width) solid var(--ink);
  border-right: 1.5px solid var(--ink);
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
.link {
  display: block;
  width: 100%;
  text-align: start;
  padding: 0 8px 2px;
  min-height: 42px;
}
li:hover {
  background-color: var(--tint);
}
li.open {
  background-color: var(--ink);
  color: var(--paper);
}
li.to-come .name {
  font-weight: 400;
  color: var(--soft);
}
.name {
  display: block;
  font-weight: 600;
  line-height: 1.35;
}
.tick {
  width: 15px;
  height: 15px;
  margin-left: 5px;
  vertical-align: -2px;
  color: var(--good);
}
.detail {
  display: block;
  color: var(--soft);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
li.open .name,
li.open .detail,
li.open .tick {
  color: inherit;
}
</style>
