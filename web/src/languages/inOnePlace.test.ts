import ts from 'typescript'
import { expect, test } from 'vitest'

const PAGES = Object.entries(
  import.meta.glob<string>('../**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true }),
).filter(([file]) => !/^\.\/(en|de)\/|generated|theme|testing\.|\.test\./.test(file))

/** What a reader is told in them, by a voice or in writing. */
const TELLING = /^(aria-label|aria-description|alt|title|label|hint|placeholder|what|empty|legend|summary)$/
const KEYS = new Set(['Key', 'code'])
/** What is said to the browser, the command line or the rules: how something looks, where it is, under what condition. */
const NOT_READ =
  /solid|dashed|dotted|double|minmax|repeat\(|var\(|calc\(|px\b|\dfr\b|ease|underline|^"|^\/|^@media|^& |^input|^button, |^not( [a-z-]+)?$/

const A_WORD = /\p{L}{2}/u
/** Beside what is filled in, one word is enough; units are none. */
const A_WORD_BESIDE = /(^| )(?!(min|kB|MB|Juricast)\b)\p{L}{2,}(?=[ ,]|\. |$)/u
const WORDS = /\p{L}{2,}[,:;.’”)]* [(“]?\p{L}/u

/** Whether it is written for the program: an order of the API, an error of ours, a name of a class of styles. */
function isTechnical(node: ts.Node): boolean {
  const { parent } = node
  if (ts.isTemplateSpan(parent) || ts.isTemplateExpression(parent) || ts.isJsxExpression(parent)) return isTechnical(parent)
  if (ts.isNewExpression(parent)) return true
  if (ts.isJsxAttribute(parent))
    return !TELLING.test(parent.name.getText()) && !/^(says|act|lost|one|many|name)$/.test(parent.name.getText())
  return false
}

function sentencesIn([file, code]: [string, string]): string[] {
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const note = (node: ts.Node, text: string) => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart())
    found.push(`${file}:${line + 1} ${text.trim().replace(/\s+/g, ' ')}`)
  }
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return
    if (ts.isJsxElement(node) && KEYS.has(node.openingElement.tagName.getText())) return
    if (ts.isJsxText(node) && A_WORD.test(node.text)) note(node, node.text)
    else if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)) {
      const isTold = ts.isJsxAttribute(node.parent) && TELLING.test(node.parent.name.getText())
      const isPart = ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)
      if (
        (isTold ? A_WORD : isPart ? A_WORD_BESIDE : WORDS).test(node.text) &&
        !NOT_READ.test(node.text.trim()) &&
        !isTechnical(node)
      )
        note(node, node.text)
    }
    ts.forEachChild(node, look)
  }
  look(source)
  return found
}

test('what a page says stands in the books, not in the page', () => {
  expect(PAGES.length).toBeGreaterThan(200)
  expect(PAGES.flatMap(sentencesIn)).toEqual([])
})
