/** Rows as CSV. Source: RFC 4180: CRLF between rows, fields with commas, quotes or breaks quoted, quotes doubled. */
export function csvOf(heading: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const field = (value: string | number) =>
    /[",\r\n]/.test(String(value)) ? `"${String(value).replaceAll('"', '""')}"` : String(value);
  return `${[heading, ...rows].map((row) => row.map(field).join(',')).join('\r\n')}\r\n`;
}
