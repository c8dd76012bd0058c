export const SCHOOLS: Record<string, string> = {
  IN_LEAF: 'In leaf',
  DORMANT: 'After leaf fall',
  SPRING: 'In the next spring',
}

export const CLASSES: Record<string, string> = {
  GOOD: 'Good',
  RISKY: 'Risky',
  OVERWINTER: 'Over winter',
  CLOSED: 'Closed',
}

export const ENDS: Record<string, string> = { TOO_EARLY: 'too early', TOO_LATE: 'too late' }
