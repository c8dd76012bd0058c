import { expect, it } from 'vitest'

const pages = import.meta.glob<string>('../**/*.vue', { query: '?raw', import: 'default', eager: true })

/** A line break after an opening tag is no space on the screen: "Top up<template>\n 54 mL" reads "Top up54 mL". */
const GLUED = /([^\s>]|<\/\w+>)<(template|span|a|b|RouterLink|strong|small)\b([^<>]|=>)*>\n\s*(?!{{ ` |<)\S/g

it('puts no word against the one before it', () => {
  const glued = Object.entries(pages).flatMap(([name, text]) =>
    [...text.matchAll(GLUED)].map((found) => `${name}: ${found[0]}`),
  )
  expect(Object.keys(pages).length).toBeGreaterThan(80)
  expect(glued).toEqual([])
})
