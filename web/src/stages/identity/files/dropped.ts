/** A file and its path in the folder that it was dropped with. */
export type Dropped = { file: File; path: string };

/** All files of a drop, folders walked through. */
export async function droppedFiles(transfer: DataTransfer): Promise<Dropped[]> {
  // Entries must be taken before anything is awaited: the list is emptied afterwards.
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry?.()).filter((entry) => entry !== null);
  const plain = [...transfer.files].map((file) => ({ file, path: file.name }));
  if (!entries.some((entry) => entry?.isDirectory)) return plain;
  const found: Dropped[] = [];
  for (const entry of entries) if (entry) await walk(entry, '', found);
  return found;
}

async function walk(entry: FileSystemEntry, folder: string, found: Dropped[]): Promise<void> {
  if (entry.name.startsWith('.')) return;
  const path = folder ? `${folder}/${entry.name}` : entry.name;
  if (entry.isFile) {
    const file = await new Promise<File>((resolve, reject) => (entry as FileSystemFileEntry).file(resolve, reject));
    found.push({ file, path });
    return;
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject));
    if (!some.length) return;
    for (const one of some) await walk(one, path, found);
  }
}

/** The files of a picker, with their paths where a folder was picked. */
export function pickedFiles(list: FileList | null): Dropped[] {
  return [...(list ?? [])].map((file) => ({ file, path: file.webkitRelativePath || file.name }));
}
