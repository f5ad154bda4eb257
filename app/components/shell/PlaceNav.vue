<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { SYSTEM_UNITS, UNIT_SYSTEMS } from '#core/quantity/systems'

/** The places that work, whose data this is, units, theme, and where the keys are. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const crew = useCrewStore()
const own = useSelfStore()
const route = useRoute()
const colorMode = useColorMode()
/** On a phone the switches wait behind one word. */
const switches = ref(false)
const THEMES = ['paper', 'dusk', 'sun'] as const
async function changeCrew(id: string) {
  if (id === 'new') return emit('newCrew')
  await crew.change(id)
  await navigateTo('/today')
}
const sampleDay = computed(() =>
  crew.organization?.kind === 'sample'
    ? `sample data, ${dayText(crew.today()).replace(/ \d{4}$/, '')}`
    : undefined,
)
</script>

<template>
  <div class="nav" :class="{ switches }">
    <p class="brand title">Hectarum</p>
    <nav aria-label="Places">
      <ul>
        <li v-for="place in PLACES" :key="place.to">
          <NuxtLink
            :to="place.to"
            class="place"
            :class="{ here: route.path.startsWith(place.to) }"
            :aria-current="route.path.startsWith(place.to) ? 'page' : undefined"
            >{{ place.name }}</NuxtLink
          >
        </li>
      </ul>
    </nav>
    <div class="foot small">
      <div>
        <select
          class="crew"
          aria-label="Crew"
          :value="crew.organization?.id"
          @change="changeCrew(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="one in crew.choice?.all ?? []" :key="one.id" :value="one.id">{{ one.name }}</option>
          <option value="new">Start an empty crew …</option>
        </select>
        <p v-if="own.person && !own.open">
          <NuxtLink to="/you" class="way-out">{{ own.person.name }}</NuxtLink><span class="soft"
            >, {{ crew.choice?.role }}</span
          >
        </p>
        <p v-else class="soft">open here, no sign-in</p>
        <p class="soft">
          <strong v-if="sampleDay" class="sample">{{ sampleDay }}</strong>{{ ' '
          }}<NuxtLink to="/settings" class="way-out">Settings</NuxtLink>
          <NuxtLink to="/rules" class="way-out">Rules</NuxtLink>
          <button
            type="button"
            class="plain-button way-out more"
            :aria-expanded="switches"
            @click="switches = !switches"
          >
            Units, theme
          </button>
        </p>
      </div>
      <fieldset class="switch" role="radiogroup" aria-label="Units">
        <button
          v-for="system in UNIT_SYSTEMS"
          :key="system"
          type="button"
          role="radio"
          :aria-checked="crew.units === system"
          @click="crew.setUnits(system)"
        >
          {{ SYSTEM_UNITS[system].name }}
        </button>
      </fieldset>
      <fieldset class="switch three" role="radiogroup" aria-label="Theme">
        <button
          v-for="theme in THEMES"
          :key="theme"
          type="button"
          role="radio"
          :aria-checked="colorMode.preference === theme"
          @click="colorMode.preference = theme"
        >
          {{ theme }}
        </button>
      </fieldset>
      <p class="keys soft">
        <button type="button" class="plain-button" @click="emit('find')">Find <kbd>Ctrl K</kbd></button>
        <button type="button" class="plain-button" @click="emit('keys')">Keys <kbd>?</kbd></button>
      </p>
    </div>
  </div>
</template>

<style scoped>
.nav {
  display: flex;
  flex-direction: column;
  border-right: var(--rule-width) solid var(--rule);
  padding: 20px 0 14px;
  position: sticky;
  top: 0;
  height: 100dvh;
}
.brand {
  font-size: 22px;
  padding: 0 18px 14px;
}
.place {
  display: block;
  padding: 7px 18px;
  border-left: 3px solid transparent;
}
.place:hover {
  background: var(--tint);
}
.place.here {
  border-left-color: var(--ink);
  background: var(--tint);
  font-weight: 600;
}
.foot {
  margin-top: auto;
  padding: 0 18px;
  display: grid;
  gap: 9px;
}
.sample {
  color: var(--dry);
}
.crew {
  width: 100%;
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--rule-strong);
  min-height: 26px;
  font-weight: 600;
  text-overflow: ellipsis;
}
.crew option {
  background: var(--sheet);
  color: var(--ink);
}
.switch {
  display: grid;
  grid-template-columns: 1fr 1fr;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
}
.switch.three {
  grid-template-columns: 1fr 1fr 1fr;
}
.switch button {
  padding: 4px 2px;
  cursor: pointer;
  color: var(--soft);
  min-height: 26px;
}
.switch button[aria-checked='true'] {
  background: var(--ink);
  color: var(--paper);
  font-weight: 600;
}
.more {
  display: none;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
.keys button {
  min-height: 24px;
}
@media (max-width: 760px) {
  .nav {
    position: static;
    height: auto;
    padding: 10px 16px;
    border-right: 0;
    border-bottom: var(--rule-width) solid var(--rule);
    flex-direction: row;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
  }
  .brand {
    padding: 0;
    font-size: 19px;
  }
  .nav nav {
    flex: 1 1 100%;
    overflow-x: auto;
  }
  .nav ul {
    display: flex;
  }
  .place {
    padding: 9px 6px;
    border-left: 0;
    white-space: nowrap;
    font-size: 14.5px;
    border-bottom: 3px solid transparent;
  }
  .place.here {
    border-bottom-color: var(--ink);
    background: none;
  }
  .foot {
    margin: 0;
    padding: 0;
    display: flex;
    flex-wrap: wrap;
    flex: 1 1 100%;
    align-items: center;
    gap: 0 12px;
  }
  .crew {
    width: auto;
    max-width: 60vw;
  }
  .foot > div {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 12px;
  }
  .more {
    display: inline-block;
  }
  .nav:not(.switches) .switch {
    display: none;
  }
  .switch {
    grid-template-columns: repeat(4, auto);
  }
  .switch.three {
    grid-template-columns: repeat(3, auto);
  }
  .switch button {
    padding: 4px 8px;
    min-height: 32px;
  }
  .keys {
    display: none;
  }
}
</style>
