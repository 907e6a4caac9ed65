/** Rights by the one word that they have on every screen: desk, seat, ladder, steps. The charter says them in full. */
export const RIGHT: Record<string, string> = {
  'voice.speak': 'Speak',
  'voice.camera': 'Camera',
  'chat.class': 'Write',
  'chat.private': 'Whisper',
  'share.screen': 'Share',
  'share.draw': 'Draw',
  'names.rename': 'Rename',
}

/** What a step of the ladder can close for somebody. */
export const CURBED = ['chat.class', 'chat.private', 'voice.speak', 'voice.camera', 'share.draw', 'share.screen'] as const
