import fc from 'fast-check';
import Papa from 'papaparse';
import { zipSync } from 'fflate';
import type { Read } from '../text/read.js';
import { formatOf, LIST_FORMATS } from './catalogue.js';
import { columnsText, readColumns, tableTags, TAG_LIST, tagRows, understandTable, writeCsv } from './csv-tags.js';
import { readIecText, writeIecText } from './iec-text.js';
import { readPlcopen } from './plcopen-xml.js';
import { listedTags, type ListedTag, type TagList } from './tag-list.js';
import { encodingOf, textIn } from './text-of-bytes.js';
import { readTable, type TextTable } from './text-table.js';
import { workbookSize } from './workbook-size.js';
import { writePlcopen } from './write-plcopen.js';
import { xmlShape } from './xml-shape.js';

const says = (list: TagList) =>
  listedTags(list).map((t) => [t.name, t.says.type, t.says.place, t.says.program, t.says.comment]);

// [published: IEC 61131-3, declaration of variables, examples of direct addresses and arrays] [from memory]
const DECLARED = `
(* The cold store; (* nested *) still a comment *)
TYPE
  Pump : STRUCT
    Speed : INT; // rpm
    Running : BOOL := FALSE;
  END_STRUCT;
END_TYPE
{attribute 'qualified_only'}
VAR_GLOBAL RETAIN
  Door_01, Door_02 : BOOL;
  Level AT %MW100 : ARRAY [0..3] OF INT := [4(0)]; (* in mm *)
  (* before its line *)
  Text1 : STRING[30] := 'it''s; fine';
  P1 : Pump;
END_VAR
PROGRAM Main
  VAR_INPUT ignored : BOOL; END_VAR
  VAR Local1 AT %QX2.3 : BOOL; END_VAR
END_PROGRAM
`;

test('declarations of IEC 61131-3: names in a row, addresses, arrays, comments, structures, locals of a program', () => {
  const list = readIecText(DECLARED);
  expect(list.faults).toEqual([]);
  expect(says(list)).toEqual([
    ['Door_01', 'BOOL', '', '', ''],
    ['Door_02', 'BOOL', '', '', ''],
    ['Level', 'ARRAY[0..3] OF INT', '%MW100', '', 'in mm'],
    ['Text1', 'STRING[30]', '', '', 'before its line'],
    ['P1', 'Pump', '', '', ''],
    ['Local1', 'BOOL', '%QX2.3', 'Main', ''],
  ]);
  expect([...list.lines]).toEqual([11, 11, 12, 14, 15, 19]);
  expect(list.structures).toMatchObject([
    {
      name: 'Pump',
      members: [
        { name: 'Speed', type: 'INT', comment: 'rpm' },
        { name: 'Running', type: 'BOOL' },
      ],
    },
  ]);
});

test('a declaration that cannot be read is told with its line, and the next are read', () => {
  const list = readIecText('VAR_GLOBAL\nA : INT;\nB INT;\nC AT MW3 : INT;\nD : INT\nE : BOOL;\nF : BOOL;\n');
  expect(listedTags(list).map((t) => t.name)).toEqual(['A', 'F']);
  expect(list.faults).toEqual([
    { line: 3, found: '“INT”', expected: 'a colon and a type after the name' },
    { line: 4, found: '“MW3”', expected: 'a direct address after AT, as %MW100' },
    expect.objectContaining({ expected: expect.stringContaining('semicolon') as string }),
    { line: 8, found: 'VAR_GLOBAL of line 1 is not closed', expected: 'END_VAR' },
  ]);
  expect(readIecText('VAR_GLOBAL (* open\nA : INT;').faults[0]).toMatchObject({
    found: 'a comment that is not closed',
  });
});

const WORDS = ['at', 'var', 'type', 'program', 'struct', 'array', 'of', 'retain', 'constant', 'persistent'];
const name = fc
  .oneof(
    fc.stringMatching(/^[A-Za-z][A-Za-z0-9]{0,8}$/),
    fc.constantFrom('VarSpeed', 'Var_1', 'End_Position', 'END_Stop', 'Programm', 'TypeCode', 'AtRest'),
  )
  .filter((n) => !WORDS.includes(n.toLowerCase()));
const tag = fc.record({
  line: fc.constant(0),
  name,
  says: fc.record({
    type: fc.constantFrom(
      ...['BOOL', 'INT', 'REAL ×3', 'STRING[30]', 'DWORD', 'WSTRING[12]', 'LDT', 'TOD', 'WCHAR'],
      ...['ARRAY[1..4] OF INT', 'ARRAY[-2..1,1..3] OF REAL'],
    ),
    place: fc.constantFrom('', '%MW100', '%IX2.3', '%QB7'),
    program: fc.constantFrom('', 'Main', 'Night'),
    comment: fc.constantFrom(
      '',
      'a door',
      'up & down <1>',
      'it’s ½ open',
      'Zähler (* of pumps',
      'done *) now',
      '&#233; as typed',
    ),
  }),
});
const inOrder = (tags: readonly ListedTag[]) =>
  ['', 'Main', 'Night']
    .flatMap((p) => tags.filter((t) => t.says.program === p))
    .map((t) => ({ name: t.name, ...t.says }));
/** An array as it is declared. */
const declared = (text: string | undefined) => (text === 'REAL ×3' ? 'ARRAY[0..2] OF REAL' : text);

test('what is written in either format is read back as it was: the two hold the same tags', () => {
  fc.assert(
    fc.property(fc.uniqueArray(tag, { maxLength: 12, selector: (t) => t.name.toLowerCase() }), (tags) => {
      const structures = [{ line: 1, name: 'Pump', members: [{ name: 'Speed', type: 'INT', comment: 'rpm' }] }];
      const expected = inOrder(tags).map((t) => ({ ...t, type: declared(t.type) }));
      const text = readIecText(writeIecText({ tags, structures }));
      const xml = readPlcopen(writePlcopen({ tags, structures }, 'Example', '2026-01-01T00:00:00'));
      if (!xml.ok) throw new Error(xml.found);
      for (const list of [text, xml.value]) {
        expect(list.faults).toEqual([]);
        expect(inOrder(listedTags(list))).toEqual(expected);
        expect(list.structures).toMatchObject([
          { name: 'Pump', members: [{ name: 'Speed', type: 'INT', comment: 'rpm' }] },
        ]);
      }
    }),
    { numRuns: 60 },
  );
});

test('XML that could do harm is refused: document types, depth, null bytes, what is no project', () => {
  const of = (text: string) => {
    const found = readPlcopen(text);
    return found.ok ? null : found.found;
  };
  expect(of('<!DOCTYPE p [<!ENTITY a "b">]><project>&a;</project>')).toContain('document type');
  expect(of(`${'<a>'.repeat(100)}${'</a>'.repeat(100)}`)).toContain('61 deep');
  expect(of('<project>\u0000</project>')).toContain('null bytes');
  expect(of('<plant/>')).toBe('the document is a “plant”');
  expect(of('<project><a></project>')).not.toBeNull();
  expect(of('no XML at all')).not.toBeNull();
  expect(xmlShape('<a><!-- <b> --></a>').ok).toBe(true);
});

test('headings in any order and language, told by their words; what stands twice is named', () => {
  const table = readTable('Kommentar;Adresse;Variablenname;Datentyp;Einheit\n"Tür; links";%MW4;Door;INT;mm');
  if (!table.ok) throw new Error(table.found);
  const found = understandTable(table.value);
  expect(found.columns).toEqual({ comment: 0, place: 1, name: 2, type: 3, unit: 4 });
  const list = tableTags(table.value, found, found.columns);
  expect(list.ok && listedTags(list.value)).toEqual([
    { line: 2, name: 'Door', says: { type: 'INT', place: '%MW4', unit: 'mm', comment: 'Tür; links' } },
  ]);
  const twice = readTable('Name;Type;name\nA;INT;B');
  expect(twice.ok && understandTable(twice.value).twice).toEqual(['name']);
  const bare = readTable('A;INT\nB;INT');
  expect(bare.ok && understandTable(bare.value)).toMatchObject({ heading: -1, headings: ['column 1', 'column 2'] });
  const kept = columnsText(found.columns, found.headings);
  expect(readColumns(kept, found.headings)).toEqual(found.columns);
  // The next file may have them in another order; one that lacks a heading is another sort of file.
  expect(readColumns(kept, [...found.headings].reverse())).toEqual({ comment: 4, place: 3, name: 2, type: 1, unit: 0 });
  expect(readColumns(kept, ['Variablenname', 'Typ'])).toEqual({});
});

test('a long list is read piece by piece as it is read at once, and told how far it is', () => {
  const row = (i: number) => `Point_${i};INT;"says ""${i}"";\nin two lines";${'x'.repeat(i % 40)}`;
  const text = Array.from({ length: 50_000 }, (_, i) => row(i)).join('\r\n');
  const told: number[] = [];
  const whole = readTable(text, ';');
  expect(readTable(text, ';', (rows) => void told.push(rows))).toEqual(whole);
  expect(whole.ok && whole.value.rows.length).toBe(50_000);
  expect(told.length).toBeGreaterThan(1);
  expect(told.at(-1)).toBe(50_000);
  expect(readTable(`${text}\r\nLast;"open`, ';', () => undefined)).toMatchObject({
    ok: false,
    found: expect.stringContaining('a quotation mark is not closed') as string,
  });
});

test('line ends of several systems in one file; a heading twice; null bytes', () => {
  const mixed = readTable('Name;Type\r\nA;INT\nB;INT\rC;INT\r\n');
  expect(mixed.ok && mixed.value.rows.map((row) => row[0])).toEqual(['Name', 'A', 'B', 'C']);
  expect(readTable('Name;Type\nA\u0000;INT')).toMatchObject({
    ok: false,
    found: expect.stringContaining('null bytes') as string,
  });
});

// [published: RFC 4180, 2: quotes, separators and line ends within cells] [library: papaparse]
test('cells with quotes, separators and line ends are written as another reader reads them', () => {
  const rows = tagRows([{ line: 1, name: 'A"B', says: { type: 'INT', comment: 'one;\r\ntwo' } }], ['type', 'comment']);
  expect(writeCsv(rows, ';').split('\r\n')[0]).toBe('Name;Type;Comment');
  expect(Papa.parse(writeCsv(rows, ';').trimEnd(), { delimiter: ';' }).data).toEqual(rows);
});

test('UTF-8 with and without its mark, UTF-16 of both orders, Windows-1252', () => {
  const text = 'Name;Türöffnung °C';
  const sixteen = (high: boolean, mark: boolean) => {
    const units = [...(mark ? ['\uFEFF'] : []), ...text].map((c) => c.charCodeAt(0));
    return Uint8Array.from(units.flatMap((u) => (high ? [u >> 8, u & 255] : [u & 255, u >> 8])));
  };
  const eight = Uint8Array.from(Buffer.from(text, 'utf8'));
  const marked = Uint8Array.from([0xef, 0xbb, 0xbf, ...eight]);
  const western = Uint8Array.from(Buffer.from(text, 'latin1'));
  for (const bytes of [
    eight,
    marked,
    western,
    ...[true, false].flatMap((h) => [sixteen(h, true), sixteen(h, false)]),
  ]) {
    expect(textIn(bytes, encodingOf(bytes))).toBe(text);
  }
});

test('a workbook that would unpack to far more than it is, is refused before it is unpacked', () => {
  const bomb = zipSync({ 'sheet.xml': new Uint8Array(60_000_000) }, { level: 9 });
  expect(workbookSize(bomb)).toMatchObject({ ok: false, found: expect.stringContaining('unpack to 60 MB') as string });
  expect(workbookSize(zipSync({ 'a.xml': Buffer.from('<a>honest text</a>') })).ok).toBe(true);
  expect(workbookSize(Buffer.from('PK no archive')).ok).toBe(false);
});

test('characters by their number, marked-up words and wide texts of XML come in as they are meant', () => {
  const read = readPlcopen(`<project><instances><globalVars>
    <variable name="Zufluss"><type><wstring length="12"/></type>
      <documentation><xhtml><p>Pu<b>mp</b>e &#233; &#x2265; 5</p><p>Tor&amp;#50;</p></xhtml></documentation></variable>
    <variable name="Days"><type><array><dimension lower="1" upper="7"/><baseType><DATE/></baseType></array></type></variable>
  </globalVars></instances></project>`);
  expect(read.ok && listedTags(read.value).map((t) => t.says)).toEqual([
    expect.objectContaining({ type: 'WSTRING[12]', comment: 'Pumpe é ≥ 5 Tor&#50;' }),
    expect.objectContaining({ type: expect.stringMatching(/^ARRAY ?\[1\.\.7\] OF DATE$/) as unknown }),
  ]);
});

const listed = {
  tags: [{ line: 1, name: 'Speed', says: { type: 'INT', comment: 'of the pump' } }],
  structures: [],
};

test.each(LIST_FORMATS)('$name: what it writes, it recognises and reads again', async (format) => {
  const written = format.write(listed, 'Pump', '2026-05-31T12:00:00');
  const text = 'text' in written ? written.text : '';
  // A workbook is unpacked by a library of the page: here its cells stand for it.
  const bytes = 'text' in written ? new TextEncoder().encode(text) : new Uint8Array([0x50, 0x4b]);
  expect(formatOf(bytes, () => text)).toBe(format);
  if (!('text' in written)) return;
  const [sheet] = await format.read(bytes, { text, workbook: () => Promise.resolve([]), progress: () => undefined });
  const { content } = sheet!;
  const list = content.holds === 'tags' ? content.list : content.table.ok && tagsOf(content.table.value);
  expect(list && list.ok && listedTags(list.value).map(({ name, says }) => [name, says.type])).toEqual([
    ['Speed', 'INT'],
  ]);
});

function tagsOf(table: TextTable): Read<TagList> {
  const found = TAG_LIST.understand(table, true)!;
  return TAG_LIST.read(table, found.heading, found.columns, 'point');
}

test('every format has an ending of its own, and the last takes whatever is text', () => {
  const endings = LIST_FORMATS.flatMap((format) => format.endings);
  expect(new Set(endings).size).toBe(endings.length);
  expect(LIST_FORMATS.at(-1)!.recognise(new Uint8Array([65]), 'anything')).toBe(true);
});
