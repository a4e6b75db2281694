/** An ink's name for people. */
export function inkName(ink: string): string {
  const names: Record<string, string> = {
    heading: 'Heading',
    body: 'Text',
    quiet: 'Quiet text',
    link: 'Link',
    boundary: 'Boundary',
    line: 'Line',
    'link-hover': 'Link, hover',
    'link-visited': 'Link, visited',
    focus: 'Focus ring',
    'focus-inner': 'Focus, inner tone',
    selection: 'Selection',
    'selection-ink': 'Selected text',
    'field/label/rest': 'Text in a field',
    'field/hint/rest': 'Hint in a field',
    'field/border/rest': 'Border of a field',
    success: 'Success',
    warning: 'Warning',
    error: 'Error',
    'primary/label/rest': 'Main button',
    'secondary/label/rest': 'Second button',
  };
  return names[ink] ?? ink;
}
