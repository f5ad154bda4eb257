import type { OrganizationChoice } from '#shared/schemas/organization'

/** Where the crew that is open on a fresh server has its routes. */
export async function openCrew(url: string): Promise<string> {
  const { current } = (await (await fetch(`${url}/api/organizations`)).json()) as OrganizationChoice
  return `${url}/api/organizations/${current.id}`
}
