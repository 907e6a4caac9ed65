import { en } from './en/door'

/** The languages there are, each by its own name. What it says stands in its folder, and is fetched only where it is spoken. */
const NAMES = { en: 'English', de: 'Deutsch' }

type Tag = keyof typeof NAMES
type Other = Exclude<Tag, 'en'>

/** Which the server reads too, so that page and server speak alike. */
const COOKIE = 'language'
const A_YEAR_S = 31_536_000

/** What was chosen, and whether the page that is shown speaks it: the pages of the staff are English. */
let chosen: Tag = 'en'
let isSpokenHere = true

const books: ((tag: Other) => Promise<void>)[] = []
let coming: Promise<unknown> = Promise.resolve()

/**
 * What some pages say, in every language. English comes with the pages; another language is fetched where it was chosen, and where it
 * cannot be fetched, it is said in English.
 *
 * @param others where what the other languages say is fetched; the compiler sees that they say the same
 * @return what is said in the language of the page that is shown
 */
export function book<W>(english: W, others: Record<Other, () => Promise<W>>): () => W {
  const read: Partial<Record<Tag, W>> = { en: english }
  const fetchIt = async (tag: Other) => {
    read[tag] = await others[tag]().catch(() => english)
  }
  books.push(fetchIt)
  if (chosen !== 'en') coming = Promise.all([coming, fetchIt(chosen)])
  return () => (isSpokenHere ? read[chosen] : undefined) ?? english
}

/** A page, once all that it says is there. */
export async function withWords<P>(page: Promise<P>): Promise<P> {
  const read = await page
  await coming
  return read
}

/** Speaks a language from now on. */
export async function speak(tag: Tag) {
  if (tag !== 'en') await Promise.all(books.map((fetchIt) => fetchIt(tag)))
  chosen = tag
  tell()
}

/** Speaks the language that was chosen on this device. */
export function speakAsChosen(): Promise<void> {
  const kept = document.cookie.split('; ').find((one) => one.startsWith(`${COOKIE}=`))
  const tag = kept?.slice(COOKIE.length + 1) ?? 'en'
  return speak(Object.hasOwn(NAMES, tag) ? (tag as Tag) : 'en')
}

/** The pages of the staff are English, whatever was chosen at a door. @param pupils whether the page that is shown is for pupils */
export function showPage(pupils: boolean) {
  if (pupils === isSpokenHere) return
  isSpokenHere = pupils
  tell()
}

/** The browser reads aloud, hyphenates and aligns as the language wants it. */
function tell() {
  document.documentElement.lang = words().tag.slice(0, 2)
  document.documentElement.dir = words().dir
}

/** All of them, each in its own words. */
export const LANGUAGE_NAMES = Object.entries(NAMES).map(([tag, name]) => ({ tag, name }))

/** Those one may choose besides the one that is spoken. */
export function others(): { tag: string; name: string }[] {
  return LANGUAGE_NAMES.filter(({ tag }) => tag !== chosen)
}

/** Chooses a language for this device, and draws the page anew in it. */
export function choose(tag: string) {
  document.cookie = `${COOKIE}=${tag}; path=/; max-age=${A_YEAR_S}; samesite=strict`
  window.location.reload()
}

/** What every page may say, and what the door says: it is fetched first. */
export const words = book(en, { de: async () => (await import('./de/door')).de })
