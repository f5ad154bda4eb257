/**
 * Where something of the crew in hand is found: every request names its crew, so that none lands in
 * another.
 */
export const crewUrl = (path: string): string =>
  `/api/organizations/${useCrewStore().organization?.id ?? ''}${path}`
