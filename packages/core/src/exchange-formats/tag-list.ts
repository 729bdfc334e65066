/** What a file can say of a tag, besides its name. */
export const TAG_FIELDS = [
  'type',
  'place',
  'asks',
  'access',
  'open',
  'program',
  'unit',
  'scaling',
  'polarity',
  'alias',
  'signal',
  'element',
  'internal',
  'required',
  'comment',
] as const;
export type TagField = (typeof TAG_FIELDS)[number];

/** A tag as its file writes it. */
export interface ListedTag {
  line: number;
  name: string;
  /** what the file says of it; a field that the file does not have is not there */
  says: Partial<Record<TagField, string>>;
}

/** A structured type that a file declares, its members in order. */
export interface ListedStructure {
  line: number;
  name: string;
  members: readonly { name: string; type: string; comment?: string }[];
}

/** Something in a file that cannot be taken, and what would be right. */
export interface FileFault {
  line: number;
  found: string;
  expected: string;
}

export interface TagList {
  tags: readonly ListedTag[];
  structures: readonly ListedStructure[];
  faults: readonly FileFault[];
  /** the fields that the file has room for: others are none of its business */
  fields: readonly TagField[];
  /** it can write direct addresses of IEC 61131-3 only: what has another kind of address has none here */
  directOnly?: true;
}

/** More tags than that are refused, whatever the format. */
export const MOST_TAGS = 200_000;
