/** Rights by the one word that they have on every screen: desk, seat, ladder, steps. The charter says them in full. */
import { say } from '../languages/en/staff/shared'
export const RIGHT: Record<string, string> = {
  'voice.speak': say.speak,
  'voice.camera': say.camera,
  'chat.class': say.write,
  'chat.private': say.whisper,
  'share.screen': say.share,
  'share.draw': say.draw,
  'names.rename': say.rename,
}

/** What a step of the ladder can close for somebody. */
export const CURBED = ['chat.class', 'chat.private', 'voice.speak', 'voice.camera', 'share.draw', 'share.screen'] as const
