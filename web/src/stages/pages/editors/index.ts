import type { ComponentType } from 'react';
import { ActionEditor } from './ActionEditor';
import { CodeEditor } from './CodeEditor';
import type { EditorProps } from './editor';
import { FormEditor } from './FormEditor';
import { ItemsEditor } from './ItemsEditor';
import { LongEditor } from './LongEditor';
import { MapEditor } from './MapEditor';
import { PictureEditor } from './PictureEditor';
import { RatingEditor } from './RatingEditor';
import { TableEditor } from './TableEditor';
import { TextEditor } from './TextEditor';

/** What a slot is edited with, by the name of its type. Core has a type for each; see core/site/slot_types. */
export const EDITORS: Record<string, ComponentType<EditorProps>> = {
  text: TextEditor,
  rich_text: LongEditor,
  action: ActionEditor,
  picture: PictureEditor,
  items: ItemsEditor,
  table: TableEditor,
  form: FormEditor,
  map: MapEditor,
  rating: RatingEditor,
  code: CodeEditor,
};
