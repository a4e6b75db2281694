import { createContext, useContext } from 'react';
import type { Areas } from '../sheet/areas';
import type { Change, Choices, Problem, Resolved, Token, Workbench } from '../api/client';

/** A ground with an ink on it, whose uses are lit on the sheet. */
export type Lit = { ground: string; ink: string } | null;

/** How pages are looked at: in which scheme, and with which kind of vision. */
export type Look = { scheme: 'light' | 'dark'; vision: Vision };
export type Vision = '' | 'protanopia' | 'deuteranopia' | 'tritanopia' | 'greyscale';

/** A change that was refused because somebody else was faster. */
export type StaleChange = { problem: Problem; label: string; changes: Change[] };

/** What every part of the workbench works with. */
export type Bench = {
  brand: Workbench;
  /** The system that is shown: that of a drag while there is one, else the stored one. */
  system: Resolved;
  /** A token of that system, in the scheme that is looked at, by its path. */
  token: (path: string) => Token | undefined;
  /** The choices that are shown, as `system`. */
  choices: Choices;
  canWrite: boolean;
  saving: boolean;
  /** Applies a change as one step of the history. Resolves to whether it was stored. */
  change: (label: string, changes: Change[]) => Promise<boolean>;
  /** Shows choices that are not stored yet, until the next change is stored. */
  draft: (choices: Choices) => void;
  /** Takes back what a draft shows. */
  endDraft: () => void;
  /** Does something after all changes that are still on their way have been stored. */
  afterChanges: <T>(work: () => Promise<T>) => Promise<T>;
  /** The revision of a document as it is now, not as it was drawn last. */
  revision: (document: string) => number;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
  /** Takes an answer of the server that holds the whole workbench. */
  accept: (brand: Workbench) => void;
  /** Shows an error, or takes it away. */
  report: (error: unknown) => void;
  /** Says what was done, with undo beside it unless it cannot be undone. */
  say: (text: string, undo?: boolean) => void;
  lit: Lit;
  light: (lit: Lit) => void;
  look: Look;
  setLook: (look: Look) => void;
  /** What is painted on each page, px² by token, measured in its widest frame that is shown. */
  areas: Record<string, { width: number; areas: Areas }>;
  measured: (page: string, width: number, areas: Areas) => void;
};

export const BenchContext = createContext<Bench | null>(null);

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error('useBench outside of a workbench');
  return bench;
}

/** A value that changes with every revision of any document. */
export function stampOf(brand: Workbench): string {
  const pages = brand.pages.map((page) => page.revision).join('.');
  return [brand.identity.revision, brand.choices.revision, brand.frame.revision, pages].join('-');
}

/** The revision of a document by name. */
export function revisionOf(brand: Workbench, document: string): number {
  if (document === 'identity' || document === 'choices' || document === 'frame') return brand[document].revision;
  const page = brand.pages.find((one) => `page:${one.body.id}` === document);
  return page?.revision ?? 0;
}
