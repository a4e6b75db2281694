/** A ratio as text, floored to one place, so that a failing ratio never reads as a passing one. */
export function shownRatio(ratio: number): string {
  return (Math.floor(ratio * 10 + 1e-9) / 10).toFixed(1);
}

/** A ratio floored to two places with its second term: "4.56:1". */
export function fullRatio(ratio: number): string {
  return `${(Math.floor(ratio * 100 + 1e-9) / 100).toFixed(2)}:1`;
}
