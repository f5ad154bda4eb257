/** What people of a crew may be, from the one who may do everything to the one who only looks. */
export const ROLES = ['owner', 'technician', 'apprentice', 'viewer'] as const
export type Role = (typeof ROLES)[number]

/**
 * What can be done with what belongs to a crew: look at it; carry out what others planned; plan, measure,
 * calibrate and keep the library; settle people, house and local rules, and delete.
 */
export const DEEDS = ['look', 'run', 'work', 'govern'] as const
export type Deed = (typeof DEEDS)[number]

const MAY: Readonly<Record<Role, readonly Deed[]>> = {
  owner: DEEDS,
  technician: ['look', 'run', 'work'],
  apprentice: ['look', 'run'],
  viewer: ['look'],
}

export const mayDo = (role: Role, deed: Deed): boolean => MAY[role].includes(deed)

/** Who may do it, in words for a refusal: "an owner or a technician". */
export function whoMay(deed: Deed): string {
  const names = ROLES.filter((role) => mayDo(role, deed)).map(
    (role) => `${/^[ao]/.test(role) ? 'an' : 'a'} ${role}`,
  )
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`
}

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  owner: 'people, settings, local rules, deleting, and all the rest',
  technician: 'jobs, runs, records and the library',
  apprentice: 'runs that others planned; a licensed person counter-signs',
  viewer: 'looks, changes nothing',
}

/** Whether a run this person finished waits for the name of a licensed one. */
export const needsCounterSign = (role: Role): boolean => role === 'apprentice'
