import { say } from '../../languages/en/staff/charter'
import type { Role } from '../../shared/api/types'

export const ROLES: { role: Role; name: string }[] = [
  { role: 'LEAD_ADULT', name: say.leadAdult },
  { role: 'SECOND_ADULT', name: say.secondAdult },
  { role: 'CLASS_MONITOR', name: say.classMonitor },
  { role: 'PUPIL', name: say.pupil },
  { role: 'VISITOR', name: say.visitor },
  { role: 'OBSERVER', name: say.observer },
]

export const roleName = (role: Role) => ROLES.find((one) => one.role === role)?.name ?? ''
