/** How the columns of a file become those of a table; what is not said is null. */
export interface FileMapping {
  table: string
  columns: Source[]
  decimalComma: boolean
}

/** Where a column's cells come from: a column of the file, or the same in every row. */
export interface Source {
  column: string
  from: string | null
  always: string | null
  unit: string | null
  dates: 'YEAR_MONTH_DAY' | 'DAY_MONTH_YEAR' | 'MONTH_DAY_YEAR' | null
  values: Record<string, string>
}
