/** A number with its noun: “1 page”, “4 pages”; “2 entries”, where that is said. */
export function counted(count: number, noun: string, many = `${noun}s`): string {
  return `${count.toLocaleString('en-GB')} ${count === 1 ? noun : many}`;
}
