import { PiniaColada } from '@pinia/colada'

/** What the server answered is kept for whoever asks the same; pages come back at once and ask again. */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PiniaColada, { queryOptions: { refetchOnWindowFocus: false } })
  // The library outlives every page: begun here, no page takes it along.
  useLibraryStore()
})
