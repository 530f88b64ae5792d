/** The clock of every test: a Saturday at noon UTC. */
export const NOW = new Date('2026-06-13T12:00:00Z')
