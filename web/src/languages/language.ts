import { en, type Words } from './en'

/** The languages there are, each with its own file, which is fetched only where it is spoken. */
const LANGUAGES: Record<string, { name: string; fetch: () => Promise<Words> }> = {
  en: { name: 'English', fetch: () => Promise.resolve(en) },
  de: { name: 'Deutsch', fetch: async () => (await import('./de')).de },
}

/** Which the server reads too, so that page and server speak alike. */
const COOKIE = 'language'
const A_YEAR_S = 31_536_000

let spoken: Words = en

/** What is said in the language of this page. It is chosen before the page is drawn, and does not change while it is shown. */
export function words(): Words {
  return spoken
}

function chosen(): string {
  const kept = document.cookie.split('; ').find((one) => one.startsWith(`${COOKIE}=`))
  const tag = kept?.slice(COOKIE.length + 1) ?? 'en'
  return Object.hasOwn(LANGUAGES, tag) ? tag : 'en'
}

/** Speaks a language from now on, and tells the browser which it is and in which direction it is read. */
export function speak(language: Words) {
  spoken = language
  document.documentElement.lang = language.tag.slice(0, 2)
  document.documentElement.dir = language.dir
}

/** Speaks the language that was chosen on this device; where it cannot be fetched, English. */
export async function speakAsChosen() {
  const language = LANGUAGES[chosen()]
  if (language) speak(await language.fetch().catch(() => en))
}

/** All of them, each in its own words. */
export const LANGUAGE_NAMES = Object.entries(LANGUAGES).map(([tag, { name }]) => ({ tag, name }))

/** Those one may choose besides the one that is spoken. */
export function others(): { tag: string; name: string }[] {
  return LANGUAGE_NAMES.filter(({ name }) => name !== spoken.name)
}

/** Chooses a language for this device, and draws the page anew in it. */
export function choose(tag: string) {
  document.cookie = `${COOKIE}=${tag}; path=/; max-age=${A_YEAR_S}; samesite=strict`
  window.location.reload()
}
