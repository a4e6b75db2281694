import type { Changed, Change, Choices, Problem, Resolved, Token, Workbench } from '../api/client';
import type { Drawing, Foreseen } from './foreseen';

/** A ground with an ink on it, whose uses are lit on the sheet. */
export type Lit = { ground: string; ink: string } | null;

/** How pages are looked at: in which scheme, and with which kind of vision. */
export type Look = { scheme: 'light' | 'dark'; vision: Vision };
export type Vision = '' | 'protanopia' | 'deuteranopia' | 'tritanopia' | 'greyscale';

/** Areas in px² by what is painted: the path of a token. */
export type Areas = Record<string, number>;

/** A change that was refused because somebody else was faster. */
export type StaleChange = { problem: Problem; label: string; changes: Change[] };

/** What was done, with undo beside it unless it cannot be undone. */
export type Notice = { text: string; undo: boolean };

/** An undo or redo over what somebody has changed since, which waits for a word. */
export type Asked = { way: 'undo' | 'redo'; text: string };

/** What the workbench shows. Never altered: what changed is another object. */
export type Shown = {
  brand: Workbench;
  /** The system that is shown: that of a drag while there is one, else the stored one. */
  system: Resolved;
  /** A token of that system, in the scheme that is looked at, by its path. */
  token: (path: string) => Token | undefined;
  /** The choices that are shown, as `system`. */
  choices: Choices;
  canWrite: boolean;
  /** Whether something is on its way to be stored. */
  saving: boolean;
  lit: Lit;
  look: Look;
  /** What is painted on each page, measured in its widest frame that is shown. */
  areas: Record<string, { width: number; areas: Areas }>;
  error: string | null;
  notice: Notice | null;
  stale: StaleChange | null;
  asked: Asked | null;
  /** The page that is worked on as it will be drawn once the change that is on its way is stored. */
  foreseen: Foreseen | null;
};

/** The header that names what is held, so that an answer leaves it out. */
export type Held = { 'Formulon-State': string };

/** What can be done in the workbench. None of it changes while a brand is open. */
export type Actions = {
  /** Applies a change as one step of the history. Resolves to whether it was stored. `foreseen` is the page that is worked on
   *  with it, where it is drawn already. */
  change: (label: string, changes: Change[], foreseen?: Foreseen | null) => Promise<boolean>;
  /** Shows choices that are not stored yet, until the next change is stored. */
  draft: (choices: Choices) => void;
  /** Takes back what a draft shows. */
  endDraft: () => void;
  /** Asks something after all changes that are still on their way have been stored. */
  afterChanges: <T>(work: () => Promise<T>) => Promise<T>;
  /** Does something that ends in a change; until it is done it counts as being saved. */
  saves: <T>(work: () => Promise<T>) => Promise<T>;
  /** Writes in its turn: `ask` sends what is held along, and what changed is taken over from the answer. */
  write: <T>(ask: (headers: Held) => Promise<T>, changed: (answer: T) => Changed) => Promise<T>;
  /** The revision of a document as it is now, not as it was drawn last. */
  revision: (document: string) => number;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
  /** Shows an error, or takes it away. */
  report: (error: unknown) => void;
  /** Says what was done, with undo beside it unless it cannot be undone. */
  say: (text: string, undo?: boolean) => void;
  /** Says which page is worked on: what is changed is drawn there before it is stored. */
  attend: (page: string | null) => void;
  /** The page that is worked on, and the scheme it is looked at in. */
  drawing: () => Drawing | null;
  light: (lit: Lit) => void;
  setLook: (look: Look) => void;
  measured: (page: string, width: number, areas: Areas) => void;
  /** Takes a notice or an error away. */
  close: () => void;
  /** Somebody was faster: what is there now is shown, and one's own change made again where that is wanted. */
  settle: (keepOwn: boolean) => Promise<void>;
  /** The word on an undo or redo that waits for one. */
  answer: (goOn: boolean) => void;
};

/** The workbench of a brand, as its parts see it. */
export type Bench = Actions & {
  readonly shown: Shown;
  subscribe: (tell: () => void) => () => void;
};
