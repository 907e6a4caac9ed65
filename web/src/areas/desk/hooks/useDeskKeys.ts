import type { Activity } from '../../../lesson/activities/Activities'
import { PAGES } from '../../../lesson/parts'
import { useLayoutEffect, useRef } from 'react'
import { WRITE_BOX } from '../../../lesson/chat/writing'
import type { Desk } from '../../../shared/api/types'
import { mayOrder } from '../../../lesson/mayOrder'
import type { Give } from '../../../lesson/orders'

/** What a key shows in place of the class list, or opens to be started. */
export type Shown = 'list' | 'groups' | 'board' | 'wall' | 'step' | 'moment' | Activity

/** Escape twice within this time stops everything. */
const TWICE_MS = 700

/**
 * The desk by keyboard, while nothing is being typed: D door, A all on the list, S next hand speaks, M mute, N next stance,
 * W write, G groups and into the next one, B all back, R the recording paused and on again, L the class list, P the board, X merits,
 * U an announcement, C a step of the ladder, Y marks a moment, and those of the parts; Escape twice stops everything, but not from within a box, where it leaves the box.
 */
export function useDeskKeys(desk: Desk | undefined, give: Give, onShow: (what: Shown) => void) {
  const escaped = useRef(0)
  // Together with what is shown, so that a key never acts on the queue of a moment ago.
  useLayoutEffect(() => {
    if (desk?.door.phase !== 'OPEN' || !mayOrder(desk)) return
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      // An Escape that closes a sheet or a menu, or leaves a box, is not the first half of a stop.
      if (event.key === 'Escape' && !event.repeat && !target.closest('input, textarea, select, [role=dialog], [role=menu]')) {
        const twice = event.timeStamp - escaped.current < TWICE_MS
        escaped.current = twice ? 0 : event.timeStamp
        if (twice && !desk.supervision.stoppedAt) give({ do: 'stop', why: '' })
        return
      }
      const typing = target.closest('input, textarea, select, [role=dialog], [role=menu]')
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      const hand = desk.needs.find((need) => need.kind === 'HAND')
      const keys: Record<string, () => void> = {
        a: () => give({ do: 'admit-all-listed' }),
        d: () => give({ do: 'set', rule: 'entry.door', value: desk.door.value === 'shut' ? 'knock' : 'shut' }),
        m: () => give({ do: 'mute-all', keepMuted: true }),
        s: () => hand?.person && give({ do: 'pass', person: hand.person, rule: 'voice.speak', minutes: 2 }),
        n: () => desk.course.due && give({ do: 'stance', stance: desk.course.due, keepLive: false }),
        g: () => {
          const { out, next } = desk.groups
          if (!out) onShow('groups')
          else if (next) give({ do: 'go-in', group: next.group })
        },
        b: () => desk.groups.out && give({ do: 'call-back', seconds: desk.groups.out.calledBack ? 0 : 30 }),
        r: () => {
          const { phase, paused } = desk.recording
          if (paused) give({ do: 'recording-on' })
          else if (phase === 'ON' || phase === 'ASKED') give({ do: 'pause-recording', reason: 'CONFIDES' })
        },
        l: () => onShow('list'),
        p: () => onShow('board'),
        x: () => onShow('merits'),
        u: () => onShow('notice'),
        w: () => document.getElementById(WRITE_BOX)?.focus(),
      }
      const ofParts = PAGES.map((part) => part.keys?.(desk, give, onShow) ?? {})
      const act = Object.assign({}, ...ofParts, keys)[event.key.toLowerCase()] as (() => void) | undefined
      if (act) {
        event.preventDefault()
        act()
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  })
}
