import type { Workbench } from '../api/client';
import type { Foreseen } from './foreseen';

/** What the store reaches outside for. */
export type Ports = {
  /** Puts tokens into every page that is drawn. */
  restyle: (css: string) => void;
  /** Once what has been set so far is on the screen, or could be. */
  painted: () => Promise<void>;
  /** Keeps what was answered last, for whoever opens the brand again. */
  keep: (brand: Workbench) => void;
  /** Keeps a page that was foreseen, where it is what is stored now. */
  drawn: (page: Foreseen, now: Workbench) => void;
  /** The brand as it is now. */
  load: () => Promise<Workbench>;
  /** Whoever asks is signed in no more. */
  signedOut: () => void;
};
