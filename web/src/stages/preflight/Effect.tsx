import type { Mending } from '../../api/client';
import { counted } from '../../parts/counted';

/** What a change would come to on the whole site, in a sentence. */
export function effectOf(effect: Mending): string {
  const pages = new Set(effect.ends.map((one) => one.page)).size;
  const ends = effect.ends.length
    ? `Ends ${counted(effect.ends.length, 'finding')} on ${counted(pages, 'page')}`
    : 'Ends no finding';
  const made = effect.makes.filter((one) => one.severity === 'stop').length;
  const notes = effect.makes.length - made;
  const makes = [made && counted(made, 'stop'), notes && counted(notes, 'note')].filter(Boolean).join(' and ');
  const left = effect.stops ? `${counted(effect.stops, 'stop')} left then` : 'nothing stops the release then';
  return `${ends}, makes ${makes || 'none'}; ${left}.`;
}

/** The effect of a fix that is tried. */
export function Effect({ effect }: { effect: Mending }) {
  return (
    <p className="effect" role="status">
      {effectOf(effect)}
      {effect.makes[0] && <span className="soft"> It would make: {effect.makes[0].message}</span>}
    </p>
  );
}
