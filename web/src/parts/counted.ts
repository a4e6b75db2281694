/** A number with its noun: “1 page”, “4 pages”. */
export function counted(count: number, noun: string): string {
  return `${count.toLocaleString('en-GB')} ${noun}${count === 1 ? '' : 's'}`;
}
