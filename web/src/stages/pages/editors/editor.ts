import type { Library } from '../../../api/client';
import type { Row } from '../rows';

export type SlotCard = Library['kinds'][number]['slots'][number];

export type EditorProps = {
  /** The path of the slot in its section, with the number of an item: "items/0/title". */
  path: string;
  label: string;
  slot: SlotCard;
  value: unknown;
  row: Row;
  pageId: string;
  /** Whether texts of its section stand on its picture. */
  onPicture?: boolean;
  disabled: boolean;
  /** Stores a value at a path under the section's content; null takes out what is there. */
  put: (path: string, value: unknown, label: string) => void;
};
