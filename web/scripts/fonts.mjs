// Cuts of the fonts for what is read first: plain letters, digits and the marks of the interface. Whatever else a name or
// a word needs comes from the whole fonts, which are fetched only then. Run by: npm run fonts
import { readFileSync, writeFileSync } from 'node:fs'
import subsetFont from 'subset-font'

const FROM = 'node_modules/@fontsource-variable'
const TO = 'src/shared/theme/fonts'

/** As in the unicode-range of first.css. */
const MARKS = '\u00a0–—‘’“”…•·×←↑→↓✓'
const LETTERS = Array.from({ length: 95 }, (_, place) => String.fromCharCode(32 + place)).join('') + MARKS

/** Times and numbers, with what stands between them and the letters of "1 h 5 min" and "2 days". */
const FIGURES = '\u00a0 %+,-./0123456789:–adhimnsy'

/** Headings have one weight, so that theirs need no axis. */
const FONTS = [
  { name: 'bricolage-grotesque', wght: 650 },
  { name: 'atkinson-hyperlegible-next', wght: { min: 400, max: 700, default: 400 } },
  { name: 'atkinson-hyperlegible-mono', wght: { min: 400, max: 700, default: 400 }, letters: FIGURES },
]

for (const { name, wght, letters = LETTERS } of FONTS) {
  const whole = readFileSync(`${FROM}/${name}/files/${name}-latin-wght-normal.woff2`)
  const cut = await subsetFont(whole, letters, { targetFormat: 'woff2', variationAxes: { wght } })
  writeFileSync(`${TO}/${name}-first.woff2`, cut)
  console.log(`${name}: ${whole.length} bytes, cut ${cut.length}`)
}
