import { newCommandId, Problem, put } from '@/shared/api/client'

const MAX_BYTES_OF_A_TABLE = 100_000_000

/** Sends a file of records; a workbook and what is too large are told before. */
export async function sendFile(file: File): Promise<string> {
  const head = new Uint8Array(await file.slice(0, 4).arrayBuffer())
  if (head[0] === 0x50 && head[1] === 0x4b)
    throw refusal(
      `${file.name} is a workbook. Open it in your spreadsheet, save the sheet as CSV (“CSV UTF-8” if it offers that) and choose that file.`,
    )
  const isNursery = file.name.toLowerCase().endsWith('.json') || head[0] === 0x7b
  if (!isNursery && file.size > MAX_BYTES_OF_A_TABLE)
    throw refusal(
      `${file.name} has ${Math.ceil(file.size / 1e6)} MB; a table may have up to ${MAX_BYTES_OF_A_TABLE / 1e6} MB, some 700 000 rows. Split it into several, each with the header.`,
    )
  const id = newCommandId()
  const type = isNursery ? 'application/json' : 'text/csv'
  await put('/api/v1/imports/{fileId}', {
    path: { fileId: id },
    query: { name: file.name.slice(-200) },
    body: new Blob([file], { type }),
  })
  return id
}

const refusal = (detail: string) => new Problem(413, 'This file can’t be taken', detail)
