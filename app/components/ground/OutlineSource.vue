<script setup lang="ts">
import type { LawnPart, OutlineNote } from '#core/ground/areaShape'

/** How an outline came onto the plan, and how far a position may be off where positions made it. */
const props = defineProps<{ part: LawnPart; path: string }>()
const { set, locked } = useForm()
const editor = useOutlineEditor()
const WAYS = {
  drawn: 'drawn to scale',
  walked: 'walked',
  traced: 'traced from the picture',
  imported: 'brought from a file',
} as const
const from = computed(() => props.part.outline?.from ?? 'drawn')
const ways = computed(() =>
  (Object.keys(WAYS) as (keyof typeof WAYS)[])
    .filter((way) => way !== 'traced' || editor?.picture.value || from.value === 'traced')
    .map((value) => ({ value, text: WAYS[value] })),
)

/** A traced outline keeps the scale its picture has now. */
function change(next: OutlineNote['from']) {
  const { picture: _, ...rest } = props.part.outline ?? {
    points: [],
    pointError: { text: '', unit: 'm' as const },
    origin: '',
  }
  const picture = editor?.picture.value
  set(`${props.path}.outline`, {
    ...rest,
    from: next,
    ...(next === 'traced' &&
      picture && {
        picture: { id: picture.id, from: picture.from, to: picture.to, distance: picture.distance },
      }),
  })
}
</script>

<template>
  <ChoiceField label="The outline was" :value="from" :choices="ways" :locked="locked" @change="change" />
  <QuantityField
    v-if="part.outline && (from === 'walked' || from === 'imported')"
    :path="`${path}.outline.pointError`"
  />
</template>
