import type { Workbench } from '../api/client';

export type AttachedFile = NonNullable<Workbench['identity']['body']['files']>[number];

const FILE = 'file:';
const MOST = 25_000_000;

/** Where a link to a file leads. */
export const fileLink = (id: string): string => FILE + id;

/** Whether a destination is a file, be it there or not. */
export const isFileLink = (to: string): boolean => to.startsWith(FILE);

/** What a file is, as visitors are told it. */
export function fileNote(file: { ending: string; size: number }): string {
  const size =
    file.size < 999_500 ? `${Math.max(1, Math.round(file.size / 1000))} kB` : `${(file.size / 1e6).toFixed(1)} MB`;
  return `${file.ending.toUpperCase()}, ${size.replace('.0 ', ' ')}`;
}

/** Why a file need not be sent at all; empty where it may be. */
export function tooMuch(file: File): string {
  return file.size > MOST ? `${file.name} has ${Math.round(file.size / 1e6)} MB; 25 MB is the most.` : '';
}
