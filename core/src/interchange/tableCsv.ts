import Papa from 'papaparse';

/**
 * Lines of a table as CSV (RFC 4180). A text that a spreadsheet would run as a formula gets an apostrophe before it.
 *
 * @example tableCsv([['a', 'b"c'], [1, '=2+3']]) // 'a,"b""c"\r\n1,\'=2+3\r\n'
 */
export function tableCsv(lines: readonly (readonly (string | number)[])[]): string {
  return `${Papa.unparse(
    lines.map((line) => line.map((cell) => (typeof cell === 'string' && /^[=+@\t]|^-\D/.test(cell) ? `'${cell}` : cell))),
    { newline: '\r\n' },
  )}\r\n`;
}
