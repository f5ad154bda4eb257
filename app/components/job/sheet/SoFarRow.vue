<script lang="ts">
import type { ChainLink, LinkName } from '#core/job/chain'
import { prettyUnits, type Shown } from '#core/quantity/systems'

/** A link of the chain with what it came to. */
export interface SoFar {
  readonly link: ChainLink
  readonly figures: readonly (Shown & { readonly before?: string; readonly give?: string })[]
  readonly more: string
}
/** Links whose place on the tape says what their figures don't. */
const TOLD: ReadonlySet<LinkName> = new Set(['calibrate', 'walk', 'log'])
</script>

<script setup lang="ts">
defineProps<{ row: SoFar; open: boolean }>()
const emit = defineEmits<{ press: [] }>()
</script>

<template>
  <ULink
    raw
    class="row"
    :class="[open ? 'open' : '', row.link.path ? 'lacks' : '']"
    :aria-expanded="open"
    :aria-controls="`link-${row.link.name}`"
    @pointerenter="reachFor(row.link.name)"
    @focus="reachFor(row.link.name)"
    @click="emit('press')"
  >
    <span class="soft small block">{{ LINK_NAMES[row.link.name] }}</span>
    <span v-for="(figure, i) in row.figures" :key="i" class="told"
      ><span v-if="figure.before" class="soft before">{{ figure.before }}{{ ' ' }}</span
      ><strong>{{ figure.figure }}</strong
      ><span class="unit"
        >{{ figure.unit }}<template v-if="figure.give"> ± {{ figure.give }}</template></span
      >{{ ' ' }}</span
    >
    <span v-if="row.more" class="block" :class="row.figures.length > 0 ? 'small' : ''">{{
      prettyUnits(row.more)
    }}</span>
    <span
      v-if="row.link.path || TOLD.has(row.link.name)"
      class="detail small block"
      :class="row.link.path ? '' : 'soft'"
      >{{ row.link.detail }}</span
    >
  </ULink>
</template>

<style scoped>
.row {
  display: block;
  width: 100%;
  text-align: start;
  padding: 8px 16px 9px 21px;
  border-left: 3px solid transparent;
  line-height: 1.35;
}
.row:hover {
  background: var(--tint);
}
.row.open {
  border-left-color: var(--ink);
  background: var(--sheet);
}
.told {
  font-size: 16.5px;
}
.before {
  font-size: 14px;
}
.lacks .detail {
  color: var(--action);
  font-weight: 600;
}
@media (max-width: 760px) {
  .row {
    padding: 10px 16px 10px 13px;
    min-height: 56px;
    /* Clear of the head that stays at the top, and of the totals at the thumb. */
    scroll-margin: 64px 0 170px;
  }
}
</style>
