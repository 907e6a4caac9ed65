import { watchWords } from '../../languages/watch'
import type { Drawn } from '../../lesson/drawing/geometry'
import type { Played } from '../../shared/api/types'

/** One line beside the player, in the order of the recording. */
export interface TranscriptLine {
  atMs: number
  kind: 'caption' | 'words' | 'handout' | 'poll' | 'stance' | 'gap'
  who: string
  text: string
}

/** What was said, written, handed out and done, on one time line. */
export function transcript(played: Played): TranscriptLine[] {
  const say = watchWords()
  const lines: TranscriptLine[] = [
    ...played.captions.map((one) => ({ atMs: one.atMs, kind: 'caption' as const, who: one.name, text: one.text })),
    ...played.words.map((one) => ({ atMs: one.atMs, kind: 'words' as const, who: one.name, text: one.text })),
    ...played.handouts.map((one) => ({
      atMs: one.atMs,
      kind: 'handout' as const,
      who: '',
      text: [one.title, one.body].filter(Boolean).join(': '),
    })),
    ...played.polls.map((one) => ({
      atMs: one.atMs,
      kind: 'poll' as const,
      who: '',
      text: `${one.question || say.spokenQuestion} ${one.counts.map((each) => `${each.words || say.somethingElse} ${each.count}`).join(', ')}`,
    })),
    ...played.stances.map((one) => ({ atMs: one.atMs, kind: 'stance' as const, who: '', text: one.name })),
    ...played.gaps.map((one) => ({
      atMs: one.atMs,
      kind: 'gap' as const,
      who: '',
      text: say.notRecorded(one.says ?? say.stopped),
    })),
  ]
  return lines.sort((one, other) => one.atMs - other.atMs)
}

/** Those in which all of the words stand, in whichever case. */
export function found(lines: TranscriptLine[], search: string): TranscriptLine[] {
  const words = search.toLocaleLowerCase().split(/\s+/).filter(Boolean)
  return words.length === 0
    ? lines
    : lines.filter((one) => words.every((word) => `${one.who} ${one.text}`.toLocaleLowerCase().includes(word)))
}

/** Where the next segment begins, or the one before; nothing where there is none. */
export function segmentAt(played: Played, nowMs: number, step: 1 | -1): number | undefined {
  const starts = played.segments.map((one) => one.atMs)
  // Within the first seconds of a segment, "before" means the one before it.
  return step > 0 ? starts.find((at) => at > nowMs + 200) : starts.filter((at) => at < nowMs - 2000).at(-1)
}

/** The caption to show: the last one that began, for some seconds. */
export function captionAt(played: Played, nowMs: number): string {
  const last = played.captions.filter((one) => one.atMs <= nowMs).at(-1)
  return last && nowMs - last.atMs < 7000 ? last.text : ''
}

/** What stands on the board at a moment. */
export function boardAt(played: Played, nowMs: number): Drawn[] {
  return played.pages.flatMap((page) =>
    page.strokes
      .filter((stroke) => stroke.fromMs <= nowMs && (stroke.untilMs === undefined || stroke.untilMs > nowMs))
      .map((stroke) => ({ points: [], text: '', ...stroke.drawing })),
  )
}
