/**
 * Every sentence that stands in the client's code, by the file it stands in: texts of the page, words in quotes, templates with
 * # for what is put in. What is no sentence (names of classes, keys, addresses) is left out by its form.
 */
import { parseSync, type Module } from '@swc/core'
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'

type Node = Readonly<Record<string, unknown>> & { readonly type?: string }
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null

/** Told to nobody: where a text stands that no maker reads. */
const UNSEEN_ATTRIBUTES = new Set([
  'className',
  'style',
  'd',
  'viewBox',
  'type',
  'role',
  'href',
  'to',
  'id',
  'key',
  'transform',
  'each',
  'src',
])
const UNSEEN_CALLS = new Set([
  'Error',
  'RegExp',
  'lazy',
  'querySelector',
  'matchMedia',
  'addEventListener',
  'format',
  'parse',
  'Event',
])
/** Names of classes and keys are small letters, figures and signs without a word between two blanks that is one. */
const SENTENCE = /\p{L}{2,}[’']?\p{L}*[,;:]? (?:#|‹|\p{L}{1,})/u
const CLASSES =
  /(?:^|\s)(?:[a-z-]+:)*(?:[a-z]+-[\w./[\]()%-]+|flex|grid|block|hidden|relative|absolute|quiet|press|action|figure|head|small|field|box)(?:\s|$)/

const isSentence = (text: string): boolean =>
  (SENTENCE.test(text) || /^\p{Lu}\p{L}{2,}[.!?]?$/u.test(text)) &&
  !(CLASSES.test(text) && !/[.,;:?!’]|\p{Lu}/u.test(text))

/** As one reads it: in one line. */
const plain = (text: string): string => text.replace(/\s+/g, ' ').trim()

function nameOf(node: unknown): string {
  if (!isNode(node)) return ''
  if (node.type === 'Identifier' || node.type === 'JSXText') return String(node['value'] ?? '')
  if (node.type === 'MemberExpression') return nameOf(node['property'])
  return ''
}

/** What a template says, with # for each hole. */
const templateText = (node: Node): string =>
  (node['quasis'] as readonly { readonly cooked?: string; readonly raw: string }[])
    .map(({ cooked, raw }) => cooked ?? raw)
    .join('#')

/** Text of the page around its figures: pieces of one element are one sentence. */
function childrenText(children: readonly Node[]): string {
  return children
    .map((child) => {
      if (child.type === 'JSXText') return String(child['value'])
      if (child.type !== 'JSXExpressionContainer') return child.type === 'JSXElement' ? '‹›' : ''
      const inner = child['expression'] as Node
      if (inner.type === 'StringLiteral') return String(inner['value'])
      return inner.type === 'JSXEmptyExpression' ? '' : '#'
    })
    .join('')
}

function* textsIn(value: unknown): Generator<string> {
  if (Array.isArray(value)) {
    for (const each of value) yield* textsIn(each)
    return
  }
  if (!isNode(value)) return
  switch (value.type) {
    case 'ImportDeclaration':
    case 'ExportAllDeclaration':
    case 'TsTypeAnnotation':
    case 'TsTypeAliasDeclaration':
    case 'TsInterfaceDeclaration':
      return
    case 'JSXAttribute':
      if (UNSEEN_ATTRIBUTES.has(nameOf(value['name']))) return
      break
    case 'CallExpression':
    case 'NewExpression':
      if (UNSEEN_CALLS.has(nameOf(value['callee']))) return
      break
    case 'StringLiteral':
      yield String(value['value'])
      return
    case 'TemplateLiteral':
      yield templateText(value)
      break
    case 'JSXElement':
    case 'JSXFragment':
      yield childrenText(value['children'] as readonly Node[])
      break
    case 'JSXText':
      return
  }
  for (const [key, held] of Object.entries(value)) if (key !== 'span' && isNode(held)) yield* textsIn(held)
}

/** The sentences of one source, each once, in the order in which they stand. */
export function sentencesOf(source: string, tsx = true): readonly string[] {
  const module: Module = parseSync(source, { syntax: 'typescript', tsx, target: 'es2022' })
  return [...new Set([...textsIn(module.body)].map(plain))].filter(isSentence)
}

const FOLDERS = ['app', 'stations', 'ui', 'words', 'state', 'devices']

function* sourcesIn(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name)
    if (entry.isDirectory()) yield* sourcesIn(path)
    else if (/\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name)) yield path
  }
}

/** All of the client, by file. */
export function sentencesInCode(client: string): Readonly<Record<string, readonly string[]>> {
  const files = FOLDERS.flatMap((folder) => [...sourcesIn(join(client, folder))]).sort()
  const found = files.map(
    (file) => [relative(client, file), sentencesOf(readFileSync(file, 'utf8'), file.endsWith('.tsx'))] as const,
  )
  return Object.fromEntries(found.filter(([, sentences]) => sentences.length > 0))
}
