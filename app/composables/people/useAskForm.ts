/**
 * A small form that is sent once: what the server finds wrong stands at its field, the rest above the button,
 * and nothing typed is lost.
 * @param name of the form's template ref
 */
export function useAskForm(name: string, send: () => Promise<unknown>) {
  const form = useTemplateRef<{ setErrors: (errors: { name: string; message: string }[]) => void }>(name)
  const problem = ref('')
  const busy = ref(false)

  async function submit() {
    busy.value = true
    problem.value = ''
    try {
      await send()
    } catch (error) {
      const { fields, words } = fieldErrors(error)
      problem.value = words
      form.value?.setErrors([...fields])
    } finally {
      busy.value = false
    }
  }
  return reactive({ problem, busy, submit })
}
