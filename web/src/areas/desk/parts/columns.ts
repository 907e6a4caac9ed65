/** The rights as columns, in one word each. */
export const SHORT: Record<string, string> = {
  'voice.speak': 'Speak',
  'voice.camera': 'Camera',
  'chat.class': 'Write',
  'chat.private': 'Whisper',
  'share.screen': 'Share',
  'share.draw': 'Draw',
  'names.rename': 'Rename',
}

/** The columns: name, time, and one for each right. */
export const COLUMNS = '168px minmax(120px, 1fr) repeat(7, 54px) 30px'
