// Lists every sentence of the product once, with the case that brings it up: node scripts/words.mjs > words.html
// The case of a text of a page is what has to be true for it to be shown; that of a sentence of the server is its key,
// which names the rule, the step and the method, with the places in the code that say it.
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parse } from '@vue/compiler-sfc'
import { NodeTypes } from '@vue/compiler-dom'

const root = fileURLToPath(new URL('../..', import.meta.url))
const SAID = new Set(['label', 'hint', 'title', 'placeholder', 'aria-label', 'alt', 'unit'])

function files(folder, ending) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) =>
    one.isDirectory()
      ? files(join(folder, one.name), ending)
      : one.name.endsWith(ending)
        ? [join(folder, one.name)]
        : [],
  )
}

/** Classes, paths and the like have spaces in them as well. */
const isStyle = (text) =>
  /(^| )(bg|text|border|flex|grid|m[tbxy]|p[xytb]|min|max|gap|font|items|justify)-|toFixed|\[contenteditable/.test(
    text,
  )

const isSql = (text) =>
  /^(select|insert|update|delete|from|where|and|or|order|group|with|union|limit|left|join|set|values|on|exists|replace|in|is|not|create|drop|alter|set) /.test(
    text,
  ) || / (from|where|into|join) .*[_=(?]/.test(text)

const plain = (text) => text.replace(/\s+/g, ' ').trim()
const isWords = (text) => /[A-Za-z]{2,}/.test(text)

/** Texts of a template, each with the conditions around it. */
function texts(node, conditions, found) {
  let own = conditions
  for (const prop of node.props ?? []) {
    if (prop.type === NodeTypes.DIRECTIVE && ['if', 'else-if', 'else', 'show', 'for'].includes(prop.name))
      own = [...own, plain(`${prop.name} ${prop.exp?.content ?? ''}`)]
    if (prop.type === NodeTypes.ATTRIBUTE && SAID.has(prop.name) && isWords(prop.value?.content ?? ''))
      found.push([plain(prop.value.content), own])
    if (prop.type === NodeTypes.DIRECTIVE && prop.name === 'bind' && SAID.has(prop.arg?.content ?? ''))
      literals(prop.exp?.content ?? '').forEach((text) => found.push([text, own]))
  }
  for (const child of node.children ?? []) {
    if (child.type === NodeTypes.TEXT && isWords(child.content)) found.push([plain(child.content), own])
    else if (child.type === NodeTypes.INTERPOLATION)
      literals(child.content.content).forEach((text) => found.push([text, own]))
    else if (child.type === NodeTypes.ELEMENT) texts(child, own, found)
  }
}

/** What stands in quotes in an expression and reads like words. */
function literals(code) {
  return [...code.matchAll(/'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`/g)]
    .map((one) => plain(one[1] ?? one[2]))
    .filter((text) => / /.test(text) || /^[A-Z][a-z]/.test(text))
    .filter((text) => isWords(text.replace(/\$\{[^}]*\}/g, '')) && !isStyle(text))
}

const rows = []
const read = (folder) => files(join(root, folder), '.java').map((file) => [file, readFileSync(file, 'utf8')])
const source = new Map(read('server/src/main/java'))
const core = read('core/src/main/java')
for (const line of readFileSync(join(root, 'server/src/main/resources/words.properties'), 'utf8').split(
  '\n',
)) {
  const at = line.indexOf('=')
  if (at < 0 || line.startsWith('#')) continue
  const key = line.slice(0, at)
  // a key may be put together: the longest part of it that stands in the code
  const parts = key.split('.').map((_, index, all) => all.slice(0, all.length - index).join('.'))
  const used = parts
    .map((part) => [...source].filter(([, text]) => text.includes(`"${part}`)).map(([file]) => file))
    .find((some) => some.length)
  rows.push([line.slice(at + 1), key, (used ?? []).map((file) => file.split('/').pop()).join(', ')])
}
// what is refused stands in the code, with what was asked before it
for (const [file, text] of [...source, ...core]) {
  const said = text.replace(/^import .*$|^package .*$/gm, '').replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, '')
  // parts that are added up are one sentence; what is put in between reads as a dot
  const whole = said.replace(/"\s*\+\s*"/g, '').replace(/"\s*\+\s*[^"+;]*?\s*\+\s*"/g, '…')
  for (const one of whole.matchAll(/"((?:[^"\\\n]|\\.)*)"/g)) {
    const words = plain(one[1])
    if (!/^[A-Za-z'…(]/.test(words) || !/[a-z] [a-z…]/i.test(words) || isSql(words)) continue
    const before = whole.slice(0, one.index).match(/if \(([^{]*)\) \{[^{}]*$/)
    rows.push([words, before ? plain(`if ${before[1]}`) : 'in its code', file.split('/').pop()])
  }
}
const src = join(root, 'web/src')
const pages = [...files(src, '.vue'), ...files(src, '.ts')]
  .filter((one) => !/\.test\.ts$|schema\.d\.ts$|messages\/en\.ts$/.test(one))
  .map((file) => [relative(src, file), readFileSync(file, 'utf8')])

/** Messages by their keys, with the pages that say them. */
function messages(some, path) {
  for (const [name, value] of Object.entries(some)) {
    const key = [...path, name].join('.')
    if (typeof value !== 'string') messages(value, [...path, name])
    else {
      const asked = [`'${key}'`, `\`${path.join('.')}.\${`]
      const by = pages.filter(([, text]) => asked.some((one) => text.includes(one)))
      rows.push([value, key, by.map(([file]) => file).join(', ')])
    }
  }
}
const bundle = readFileSync(join(src, 'messages/en.ts'), 'utf8').replace(
  /^[\s\S]*?export const en = /,
  'return ',
)
messages(new Function(bundle)(), [])

for (const [file, text] of pages) {
  const found = []
  let script = text
  if (file.endsWith('.vue')) {
    const { descriptor } = parse(text)
    if (descriptor.template) texts(descriptor.template.ast, [], found)
    script = descriptor.scriptSetup?.content ?? ''
  }
  const said = script.replace(/^import .*$/gm, '').replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '')
  literals(said).forEach((one) => found.push([one, ['in its code']]))
  for (const [words, conditions] of found) rows.push([words, conditions.join(' · '), file])
}
// each sentence once, with all the cases that bring it up
const once = new Map()
for (const [words, ...where] of rows) once.set(words, [...(once.get(words) ?? []), where])

const escape = (text) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
const lines = [...once].map(
  ([words, cases]) =>
    `<tr><td>${escape(words)}</td><td>${cases.map((one) => escape(one.filter(Boolean).join(' — '))).join('<br>')}</td></tr>`,
)
console.log(`<!doctype html><meta charset="utf-8"><title>Words</title>
<style>body{font:16px/1.4 sans-serif}td{vertical-align:top;border-top:1px solid #ccc;padding:.2em 1em .2em 0}td+td{color:#555;font-size:.85em}</style>
<h1>${once.size} sentences and words</h1><table>${lines.join('\n')}</table>`)
