import type { Role } from '../../shared/api/types'

export const ROLES: { role: Role; name: string }[] = [
  { role: 'LEAD_ADULT', name: 'Lead adult' },
  { role: 'SECOND_ADULT', name: 'Second adult' },
  { role: 'CLASS_MONITOR', name: 'Class monitor' },
  { role: 'PUPIL', name: 'Pupil' },
  { role: 'VISITOR', name: 'Visitor' },
  { role: 'OBSERVER', name: 'Observer' },
]

export const roleName = (role: Role) => ROLES.find((one) => one.role === role)?.name ?? ''
