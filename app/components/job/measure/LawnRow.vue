<script setup lang="ts">
import type { AreaDraft } from '#core/draft/applicationShape'

/**
 * One lawn of the list. It hangs on its own figures alone, so that a change of the rate does not draw forty
 * lawns again.
 */
defineProps<{ lawn: AreaDraft; index: number; size: number | undefined; removable: boolean }>()
const emit = defineEmits<{ remove: [] }>()
const { set, locked } = useSheet()
const shown = useShown()
</script>

<template>
  <FormFold :section="`lawns.${index}`" :words="lawn.name || `lawn ${index + 1}`">
    <template #line>
      <div class="flex items-center gap-2">
        <TickField
          class="min-w-0 flex-1"
          :path="`lawns.${index}.treated`"
          :label="lawn.name || `Lawn ${index + 1}`"
          :ticked="lawn.treated === 'yes'"
          :locked="locked"
          @change="set(`lawns.${index}.treated`, $event ? 'yes' : 'no')"
        >
          <span :class="{ soft: lawn.treated !== 'yes' }"
            >{{ lawn.name || `Lawn ${index + 1}`
            }}<span v-if="lawn.treated === 'check'" class="small"> · check plot</span
            ><span v-else-if="lawn.own && lawn.own.length > 0" class="small"> · own rate</span></span
          >
        </TickField>
        <strong v-if="size !== undefined" class="whitespace-nowrap"
          ><FigureText :shown="shown.size(size)" :page="`lawns.${lawn.id}.size`" :label="lawn.name"
        /></strong>
        <span v-else class="soft small">to measure</span>
      </div>
    </template>
    <TextField :path="`lawns.${index}.name`" label="Name" :placeholder="`Lawn ${index + 1}`" class="mb-2" />
    <LawnToday :lawn="lawn" :index="index" />
    <GroundNotes :notes="lawn" :path="`lawns.${index}`" />
    <UButton v-if="removable && !locked" variant="link" size="sm" @click="emit('remove')">
      Remove this lawn
    </UButton>
  </FormFold>
</template>
